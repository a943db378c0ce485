# shellcheck shell=bash
# nginx and php-fpm for one named stack: its folder, port, database and pictures.
stack() { # NAME PORT DATABASE
	STACK="$1"
	STACK_PORT="$2"
	STACK_DB="$3"
	STACK_RUN="$RUN/$STACK"
	STACK_FILES="$STATE/files-$STACK"
}

# What the application is told, in a file that only its account reads: arguments of a process are there for all to see.
app_env() {
	own "$APP_USER" "$STACK_RUN"
	(
		umask 077
		printf '%s=%q\n' APP_ENV prod APP_DEBUG 0 APP_SECRET "$(secret app)" DATABASE_URL "$(db_url "$STACK_DB")" \
			LUSTRUM_FILES "$STACK_FILES" LUSTRUM_CACHE "$STATE/cache-app" >"$STACK_RUN/app.env"
	)
	own "$APP_USER" "$STACK_RUN"
}

console() {
	app_env
	as "$APP_USER" bash -c 'set -a; . "$0"; set +a; exec php -d memory_limit=1G bin/console "$@"' "$STACK_RUN/app.env" "$@"
}

# The compiled container, anew whenever the code has changed.
warm_cache() {
	local want
	want="$(hash_files src config core composer.json)"
	own "$APP_USER" "$STATE/cache-app" "$STATE/log"
	if [ -d "$STATE/cache-app/prod" ] && done_before cache "$want"; then return 0; fi
	step 'Preparing the application'
	rm -rf "$STATE/cache-app/prod"
	console cache:warmup --quiet
	mark_done cache "$want"
}

pool() { printf 'lustrum-%s' "$(hash_of "$STACK_RUN")"; }

fill() { # TEMPLATE TARGET
	sed -e "s|@ROOT@|$ROOT|g" -e "s|@RUN@|$STACK_RUN|g" -e "s|@PORT@|$STACK_PORT|g" -e "s|@FILES@|$STACK_FILES|g" -e "s|@CACHE@|$STATE/cache-app|g" \
		-e "s|@DATABASE_URL@|$(db_url "$STACK_DB" | sed 's/&/\\\&/g')|g" -e "s|@SECRET@|$(secret app)|g" -e "s|@USER@|$APP_USER|g" -e "s|@POOL@|$(pool)|g" -e "s|@MEASURE@|$([ "$STACK" = bench ] && echo 1 || echo 0)|g" "$1" >"$2"
	# Only root may say under whom the workers run.
	is_root || sed -i -E '/^(user|group|listen\.owner) ?[= ]/d' "$2"
}

# Is this process one of this stack's, by that name? A number in a file may since have become somebody else's: its name
# is asked, and whether it was started with our folder or writes into it.
is_ours() { # PID NAME
	[[ "$1" =~ ^[0-9]+$ ]] && grep -qs "^$2" "/proc/$1/comm" &&
		{ tr '\0' ' ' <"/proc/$1/cmdline" 2>/dev/null | grep -qE "$STACK_RUN(/| |$)|pool $(pool)" || ls -l "/proc/$1/fd" 2>/dev/null | grep -qF " $STACK_RUN/"; }
}

web_alive() { # NAME
	[ -f "$STACK_RUN/$1.pid" ] && is_ours "$(cat "$STACK_RUN/$1.pid")" "$1"
}

# All of them, also those whose master is gone and those that no file names any more.
web_all() { # NAME
	local proc
	for proc in /proc/[0-9]*; do
		if is_ours "${proc#/proc/}" "$1"; then echo "${proc#/proc/}"; fi
	done
}

web_running() { web_alive nginx && web_alive php-fpm && web_alive lustrum-worker; }

web_start() {
	if web_running; then
		(umask 077 && fill deploy/php-fpm.conf "$STACK_RUN/php-fpm.conf.new")
		fill deploy/nginx.conf "$STACK_RUN/nginx.conf.new"
		if cmp -s "$STACK_RUN/nginx.conf.new" "$STACK_RUN/nginx.conf" && cmp -s "$STACK_RUN/php-fpm.conf.new" "$STACK_RUN/php-fpm.conf" && web_answers; then return 0; fi
	fi
	# Some of them alone, or another configuration: all begin anew.
	local name found=""
	for name in nginx php-fpm lustrum-worker; do if [ -f "$STACK_RUN/$name.pid" ] && ! web_alive "$name"; then found="$found $name"; fi; done
	if [ -n "$found" ]; then step "Found stopped:$found; beginning anew"; fi
	web_stop
	port_taken "$STACK_PORT" && die "port $STACK_PORT is taken; choose another with LUSTRUM_PORT=… ./lustrum start"
	own "$APP_USER" "$STACK_RUN" "$STACK_RUN/tmp" "$STACK_FILES"
	(umask 077 && fill deploy/php-fpm.conf "$STACK_RUN/php-fpm.conf")
	fill deploy/nginx.conf "$STACK_RUN/nginx.conf"
	local fpm
	fpm="$(command -v php-fpm8.2 || echo /usr/sbin/php-fpm8.2)"
	step "Starting php-fpm and nginx on 127.0.0.1:$STACK_PORT"
	# The classes of the application are loaded once, into the master: a request begins with them in place.
	local preload=()
	if [ "$APP_USER" != root ]; then preload=(-d "opcache.preload=$ROOT/deploy/preload.php" -d "opcache.preload_user=$APP_USER"); fi
	LUSTRUM_CACHE="$STATE/cache-app" "$fpm" $([ "$APP_USER" = root ] && echo -R) "${preload[@]}" --daemonize --fpm-config "$STACK_RUN/php-fpm.conf" -c deploy/php.ini 2>"$STACK_RUN/php-fpm.start" || { cat "$STACK_RUN/php-fpm.start" >&2; die 'php-fpm did not start'; }
	"$(command -v nginx || echo /usr/sbin/nginx)" -p "$STACK_RUN" -c "$STACK_RUN/nginx.conf" 2>"$STACK_RUN/nginx.start" || { cat "$STACK_RUN/nginx.start" >&2; die 'nginx did not start'; }
	worker_start
	local i
	for i in $(seq 1 50); do
		if web_answers; then return 0; fi
		sleep 0.1
	done
	tail -n 20 "$STACK_RUN"/*.log >&2 || true
	die 'the application does not answer'
}

# No address is reported that does not answer.
web_answers() { curl -fsS -m 20 -o /dev/null "http://127.0.0.1:$STACK_PORT/api/health" 2>/dev/null; }

# Does in the background what takes long.
worker_start() {
	app_env
	as "$APP_USER" setsid -f "$ROOT/deploy/lustrum-worker" "$ROOT" "$STACK_RUN" </dev/null >>"$STACK_RUN/worker.log" 2>&1
}

web_stop() {
	local name
	for name in nginx php-fpm lustrum-worker; do
		local pid left=""
		if web_alive "$name"; then kill "$(cat "$STACK_RUN/$name.pid")" 2>/dev/null || true; fi
		for _ in $(seq 1 50); do
			left="$(web_all "$name")"
			[ -n "$left" ] || break
			# The master is asked alone first; workers without one are asked themselves.
			if ! web_alive "$name"; then for pid in $left; do kill "$pid" 2>/dev/null || true; done; fi
			sleep 0.1
		done
		for pid in $left; do kill -9 "$pid" 2>/dev/null || true; done
		rm -f "$STACK_RUN/$name.pid"
	done
}

# New code is taken up without a gap in service.
web_reload() {
	if web_alive lustrum-worker; then kill "$(cat "$STACK_RUN/lustrum-worker.pid")" 2>/dev/null || true; worker_start; fi
	if [ -f "$STACK_RUN/php-fpm.pid" ]; then kill -USR2 "$(cat "$STACK_RUN/php-fpm.pid")" 2>/dev/null || true; fi
}

load_demo() {
	if [ "$(db_sql 'SELECT count(*) FROM account' "$STACK_DB")" = 0 ]; then
		own "$APP_USER" "$STATE/demo-pictures" "$STACK_FILES"
		step 'Loading the demo workspace (its pictures are drawn the first time)'
		console lustrum:demo --pictures="$STATE/demo-pictures"
	fi
}
