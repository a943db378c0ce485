# shellcheck shell=bash
# Brings what the machine lacks: Debian's packages, PHP's and Node's libraries, the built front end.
NODE_LEAST=20

install_packages() {
	local missing=()
	command -v php >/dev/null || missing+=(php8.2-cli)
	command -v php-fpm8.2 >/dev/null || [ -x /usr/sbin/php-fpm8.2 ] || missing+=(php8.2-fpm)
	[ -x /usr/sbin/nginx ] || command -v nginx >/dev/null || missing+=(nginx-light)
	[ -n "$PG_BIN" ] || missing+=(postgresql-15)
	command -v composer >/dev/null || missing+=(composer)
	command -v unzip >/dev/null || missing+=(unzip)
	command -v curl >/dev/null || missing+=(curl)
	command -v runsvdir >/dev/null || missing+=(runit)
	command -v ffprobe >/dev/null || missing+=(ffmpeg)
	local loaded=""
	if command -v php >/dev/null; then loaded="$(php -m | tr 'A-Z' 'a-z')"; fi
	local pair
	for pair in pdo_pgsql:pgsql gd:gd zip:zip curl:curl bcmath:bcmath apcu:apcu intl:intl mbstring:mbstring xml:xml; do
		grep -qx "${pair%%:*}" <<<"$loaded" || missing+=("php8.2-${pair##*:}")
	done
	if [ "${1:-}" = browser ] && [ ! -x /usr/bin/chromium-headless-shell ]; then missing+=(chromium-headless-shell); fi
	[ ${#missing[@]} -eq 0 ] && return 0
	step "Installing from Debian: ${missing[*]}"
	local apt=(apt-get)
	if ! is_root; then
		sudo -n true 2>/dev/null || die "these packages are missing; install them and start again:
  sudo apt-get install --no-install-recommends ${missing[*]}"
		apt=(sudo apt-get)
	fi
	# Debian would start its own PostgreSQL and nginx on installing them; Lustrum runs its own.
	{
		DEBIAN_FRONTEND=noninteractive "${apt[@]}" update -qq &&
			DEBIAN_FRONTEND=noninteractive RUNLEVEL=1 "${apt[@]}" install -y -qq --no-install-recommends "${missing[@]}"
	} >"$VAR/install.log" 2>&1 || { tail -n 20 "$VAR/install.log" >&2; die "Debian's packages could not be installed; the whole log is in var/install.log"; }
	PG_BIN="$(ls -d /usr/lib/postgresql/*/bin | sort -V | tail -n 1)"
}

# Node only builds and tests. Debian 12's own is too old for the build tools, so a newer one comes from the npm registry.
install_node() {
	PATH="$VAR/node/node_modules/node/bin:$PATH"
	local have
	have="$(node -p 'process.versions.node.split(".")[0]' 2>/dev/null || echo 0)"
	[ "$have" -ge "$NODE_LEAST" ] && command -v npm >/dev/null && return 0
	if ! command -v npm >/dev/null; then
		step 'Installing from Debian: nodejs npm'
		if is_root; then apt-get update -qq && apt-get install -y -qq --no-install-recommends nodejs npm >"$VAR/install.log" 2>&1; else die 'Node.js is missing: sudo apt-get install nodejs npm'; fi
	fi
	have="$(node -p 'process.versions.node.split(".")[0]' 2>/dev/null || echo 0)"
	[ "$have" -ge "$NODE_LEAST" ] && return 0
	step 'Fetching a newer Node.js from the npm registry'
	mkdir -p "$VAR/node"
	npm install --silent --no-fund --no-audit --prefix "$VAR/node" node@22 >>"$VAR/install.log" 2>&1 || die 'Node.js 20 or later is needed to build the front end; see var/install.log'
	hash -r
}

install_php_libraries() {
	local want
	want="$(hash_files composer.json)-$(php -r 'echo PHP_VERSION;')"
	if [ -f vendor/autoload_runtime.php ] && done_before composer "$want"; then return 0; fi
	step 'Installing the PHP libraries'
	composer update --no-progress --prefer-dist --quiet >"$VAR/install.log" 2>&1 || { tail -n 20 "$VAR/install.log" >&2; die 'the PHP libraries could not be installed'; }
	# Some archives unpack without rights for others, and the application runs under an account of its own.
	chmod -R go+rX vendor
	mark_done composer "$want"
}

install_web_libraries() {
	local want
	want="$(hash_files web/package-lock.json)"
	if [ -d web/node_modules ] && done_before npm "$want"; then return 0; fi
	step 'Installing the libraries of the front end'
	(cd web && npm ci --silent --no-fund --no-audit --ignore-scripts) >"$VAR/install.log" 2>&1 || { tail -n 20 "$VAR/install.log" >&2; die 'the libraries of the front end could not be installed'; }
	mark_done npm "$want"
}

build_web() {
	local want
	want="$(hash_files web/src web/public web/index.html web/vite.config.ts web/package-lock.json)"
	if [ -f public/app/index.html ] && done_before web "$want"; then return 0; fi
	install_node
	install_web_libraries
	step 'Building the front end'
	(cd web && npx vite build --logLevel error) || die 'the front end could not be built'
	mark_done web "$want"
}
