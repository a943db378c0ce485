# shellcheck shell=bash
# Paths, ports, who runs what, and how a step is shown.
PORT="${LUSTRUM_PORT:-8420}"
DB_PORT="${LUSTRUM_DB_PORT:-8421}"
VAR="$ROOT/var"
export COMPOSER_ALLOW_SUPERUSER=1 COMPOSER_NO_INTERACTION=1
umask 022
mkdir -p "$VAR/stamp"

say() { printf '  %s\n' "$*"; }
step() { printf '• %s\n' "$*"; }
die() { printf 'lustrum: %s\n' "$*" >&2; exit 1; }
is_root() { [ "$(id -u)" = 0 ]; }
hash_of() { printf '%s' "$*" | sha256sum | cut -c1-12; }

# As root, PostgreSQL and the application run under Debian's own accounts: neither should be root.
# A checkout that these accounts cannot reach (below /root, say) keeps its state in /var/lib instead.
# LUSTRUM_STATE puts data, secrets and processes elsewhere: for tests that break them.
STATE="${LUSTRUM_STATE:-$VAR}"
DB_USER="$(id -un)"
APP_USER="$(id -un)"
if is_root; then
	DB_USER=postgres
	APP_USER=www-data
	if [ -z "${LUSTRUM_STATE:-}" ] && id postgres >/dev/null 2>&1 && ! runuser -u postgres -- test -x "$VAR" 2>/dev/null; then
		STATE="/var/lib/lustrum-$(hash_of "$ROOT")"
		APP_USER=root
		mkdir -p "$STATE"
		chmod 755 "$STATE"
	fi
fi
as() {
	local who="$1"
	shift
	if [ "$who" = "$(id -un)" ]; then "$@"; else runuser -u "$who" -- "$@"; fi
}

# Sockets have short names: a deep checkout puts them into /tmp.
RUN="$STATE/run"
[ "${#RUN}" -le 70 ] || RUN="/tmp/lustrum-$(hash_of "$ROOT")"
PG_DATA="$STATE/postgres"
PG_BIN="$(ls -d /usr/lib/postgresql/*/bin 2>/dev/null | sort -V | tail -n 1 || true)"

# A folder that an account may write to.
own() {
	local who="$1"
	shift
	mkdir -p "$@"
	if is_root && [ "$who" != root ]; then chown -R "$who" "$@"; fi
}

# done_before NAME HASH: has this step been done for this state of its inputs?
done_before() { [ "$(cat "$(stamp "$1")" 2>/dev/null || true)" = "$2" ]; }
mark_done() { mkdir -p "$(dirname "$(stamp "$1")")" && printf '%s' "$2" >"$(stamp "$1")"; }
# What is installed goes for the checkout, what is prepared for the state.
stamp() { case "$1" in cache | migrations) echo "$STATE/stamp/$1" ;; *) echo "$VAR/stamp/$1" ;; esac; }
hash_files() { find "$@" -type f -not -path '*/node_modules/*' -print0 2>/dev/null | sort -z | xargs -0 -r sha256sum | sha256sum | cut -d' ' -f1; }

# A secret that is made once.
secret() {
	local file="$STATE/secret-$1"
	if [ ! -s "$file" ]; then (umask 077 && head -c 24 /dev/urandom | base64 | tr -dc 'A-Za-z0-9' >"$file"); fi
	cat "$file"
}

# What whoever runs it said once, and is kept until it is said anew: LUSTRUM_HOSTS, LUSTRUM_PROXIES, LUSTRUM_QUOTA, with spaces between.
setting() { # hosts | proxies | quota
	local name="LUSTRUM_${1^^}" file="$STATE/setting-$1"
	if [ -n "${!name+set}" ]; then
		[[ "${!name}" =~ ^[A-Za-z0-9.:/\ -]*$ ]] || die "$name takes names or addresses with spaces between: ${!name}"
		printf '%s' "${!name}" >"$file"
	fi
	cat "$file" 2>/dev/null || true
}

port_taken() { (exec 3<>"/dev/tcp/127.0.0.1/$1") 2>/dev/null; }
