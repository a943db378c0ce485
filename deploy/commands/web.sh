# shellcheck shell=bash
# nginx, php-fpm and two workers for one named stack: its folder, port, database and files.
QUEUES="pictures recordings"

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
	as "$APP_USER" bash -c 'set -a; . "$0"; set +a; exec php -d memory_limit=1G -d apc.enable_cli=1 bin/console "$@"' "$STACK_RUN/app.env" "$@"
}

# What php-fpm loads beforehand: by opening every sheet once, whenever the code has changed. It goes without, only slower.
warm_classes() {
	[ -f "$STATE/cache-app/prod/preload-classes.php" ] && return 0
	console lustrum:warm-up || step 'The classes could not be warmed up; Lustrum starts without, a little slower'
}

code_hash() { hash_files src config core composer.json; }

# The compiled container, anew whenever the code has changed.
warm_cache() { # [CODE_HASH]
	local want="${1:-$(code_hash)}"
	own "$APP_USER" "$STATE/cache-app" "$STATE/log"
	if [ -d "$STATE/cache-app/prod" ] && done_before cache "$want"; then return 0; fi
	step 'Preparing the application'
	rm -rf "$STATE/cache-app/prod"
	console cache:warmup --quiet
	mark_done cache "$want"
}

fill() { # TEMPLATE TARGET
	local preload=""
	if [ "$APP_USER" != root ]; then preload="-d opcache.preload=$ROOT/deploy/preload.php -d opcache.preload_user=$APP_USER"; fi
	if [ "$APP_USER" = root ]; then preload="-R"; fi
	sed -e "s|@ROOT@|$ROOT|g" -e "s|@RUN@|${STACK_RUN:-}|g" -e "s|@PORT@|${STACK_PORT:-}|g" -e "s|@FILES@|${STACK_FILES:-}|g" \
		-e "s|@CACHE@|$STATE/cache-app|g" -e "s|@DATABASE_URL@|$(db_url "${STACK_DB:-}" | sed 's/&/\\\&/g')|g" \
		-e "s|@SECRET@|$(secret app)|g" -e "s|@USER@|$APP_USER|g" -e "s|@MEASURE@|$(case "${STACK:-}" in bench | fuzz) echo 1 ;; *) echo 0 ;; esac)|g" \
		-e "s|@HOSTS@|$(setting hosts)|g" -e "s|@PROXIES@|$(setting proxies | tr ' ' ',')|g" -e "s|@PROXY_LINES@|$(for proxy in $(setting proxies); do printf '%s 1; ' "$proxy"; done)|g" -e "s|@HOST_PATTERNS@|$(host_patterns)|g" \
		-e "s|@QUOTA@|$(setting quota)|g" -e "s|@PG_BIN@|$PG_BIN|g" -e "s|@PG_DATA@|$PG_DATA|g" -e "s|@DB_PORT@|$DB_PORT|g" -e "s|@AS@|${AS:-}|g" \
		-e "s|@FPM@|$(command -v php-fpm8.2 || echo /usr/sbin/php-fpm8.2)|g" -e "s|@NGINX@|$(command -v nginx || echo /usr/sbin/nginx)|g" \
		-e "s|@PRELOAD@|$preload|g" -e "s|@QUEUE@|${QUEUE:-}|g" -e "s|@SIGNAL@|${SIGNAL:-}|g" -e "s|@LOGS@|${SERVICE_LOGS:-}|g" "$1" >"$2"
	# php-fpm takes no empty value: what is not set is not said.
	case "$1" in *php-fpm.conf) sed -i '/^env.* = ""$/d' "$2" ;; esac
	# Only root may say under whom the workers run.
	case "$1" in *.conf) is_root || sed -i -E '/^(user|group|listen\.owner) ?[= ]/d' "$2" ;; esac
}

# The names that Lustrum answers to, as Symfony wants them.
host_patterns() {
	local host patterns='^127[.]0[.]0[.]1$,^localhost$'
	for host in $(setting hosts); do patterns="$patterns,^${host//./[.]}\$"; done
	printf '%s' "$patterns"
}

web_services() {
	local queue
	for queue in $QUEUES; do echo "$STACK-$queue"; done
	printf '%s\n' "$STACK-php" "$STACK-nginx"
}

web_running() {
	local name
	for name in $(web_services); do service_up "$name" || return 1; done
}

# Writes what the services of a stack are begun with; says whether anything of it is new.
web_write() {
	local new=no queue file
	own "$APP_USER" "$STACK_RUN" "$STACK_RUN/tmp" "$STACK_FILES"
	app_env
	for file in php-fpm.conf nginx.conf; do
		(umask 077 && fill "deploy/$file" "$STACK_RUN/$file.new")
		if cmp -s "$STACK_RUN/$file.new" "$STACK_RUN/$file"; then rm -f "$STACK_RUN/$file.new"; else mv "$STACK_RUN/$file.new" "$STACK_RUN/$file" && new=yes; fi
	done
	for queue in $QUEUES; do QUEUE="$queue" service_write "$STACK-$queue" worker.sh && new=yes; done
	service_write "$STACK-php" php.sh && new=yes
	service_write "$STACK-nginx" nginx.sh QUIT && new=yes
	[ "$new" = yes ]
}

web_start() {
	local new=no name
	if web_write; then new=yes; fi
	if [ "$new" = no ] && web_running && web_answers; then return 0; fi
	if ! service_up "$STACK-nginx" && port_taken "$STACK_PORT"; then
		die "port $STACK_PORT is taken; choose another with LUSTRUM_PORT=… ./lustrum start"
	fi
	if [ "$new" = yes ]; then web_stop; fi
	step "Starting php-fpm, nginx and the workers on 127.0.0.1:$STACK_PORT"
	# What is looked at first begins first; the workers would take it the processor.
	service_start "$STACK-php"
	service_start "$STACK-nginx"
	if wait_for 200 web_answers; then
		for name in $(web_services); do service_start "$name"; done
		return 0
	fi
	for name in $(web_services); do service_log "$name" >&2; done
	die 'the application does not answer'
}

# No address is reported that does not answer.
web_answers() { curl -fsS -m 20 -o /dev/null "http://127.0.0.1:$STACK_PORT/api/health" 2>/dev/null; }

# Nothing new comes in, what is asked is answered, then the rest.
web_stop() {
	local name
	for name in $(web_services | tac); do service_stop "$name"; done
}

# New code is taken up without a gap in service.
web_reload() {
	local queue
	for queue in $QUEUES; do sv term "$STACK-$queue" >/dev/null 2>&1 || true; done
	sv 2 "$STACK-php" >/dev/null 2>&1 || true
}

load_demo() {
	if [ "$(db_sql 'SELECT count(*) FROM account' "$STACK_DB")" = 0 ]; then
		own "$APP_USER" "$STATE/demo-pictures" "$STACK_FILES"
		step 'Loading the demo workspace (its pictures are drawn the first time)'
		console lustrum:demo --pictures="$STATE/demo-pictures"
	fi
}
