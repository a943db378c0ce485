# shellcheck shell=bash
# Breaks a Lustrum of its own in every way that is known, and sees 'start' heal it, while somebody goes on writing: what
# was acknowledged is there afterwards. Each way once in every test; './lustrum test heal' does fifty rounds of kill -9.
HEAL_STATE="$VAR/heal"
HEAL_PORT="${LUSTRUM_HEAL_PORT:-8450}"
HEAL_DB_PORT="${LUSTRUM_HEAL_DB_PORT:-8451}"
HEAL_ROUNDS=50

heal_lustrum() { LUSTRUM_STATE="$HEAL_STATE" LUSTRUM_PORT="$HEAL_PORT" LUSTRUM_DB_PORT="$HEAL_DB_PORT" "$ROOT/lustrum" "$@"; }
heal_run() { # a command of this file's, as the broken one sees its paths
	(
		export LUSTRUM_STATE="$HEAL_STATE" LUSTRUM_PORT="$HEAL_PORT" LUSTRUM_DB_PORT="$HEAL_DB_PORT"
		. deploy/commands/common.sh
		. deploy/commands/database.sh
		. deploy/commands/web.sh
		stack main "$PORT" lustrum
		"$@"
	)
}
heal_php() { LUSTRUM_DB_PORT="$HEAL_DB_PORT" php deploy/heal.php "$1" "http://127.0.0.1:$HEAL_PORT" "$HEAL_STATE/written.log"; }

kill_one() { # NAME: the one that a file names
	heal_run eval "kill -9 \"\$(cat \"\$STACK_RUN/$1.pid\")\""
}
kill_workers() { # NAME: those below it, and not it
	heal_run eval "main=\$(cat \"\$STACK_RUN/$1.pid\"); for p in \$(web_all $1); do [ \$p = \$main ] || kill -9 \$p; done"
}
kill_postmaster() { heal_run eval 'kill -9 "$(head -n 1 "$PG_DATA/postmaster.pid")"'; }
kill_backend() {
	local pid
	pid="$(heal_run db_sql "SELECT pid FROM pg_stat_activity WHERE datname = 'lustrum' LIMIT 1")"
	[ -z "$pid" ] || kill -9 "$pid"
}

break_php() { kill_one php-fpm; }
break_php_workers() { kill_workers php-fpm; }
break_nginx() { kill_one nginx; }
break_nginx_workers() { kill_workers nginx; }
break_worker() { kill_one lustrum-worker; }
break_postgres() { kill_postmaster; }
break_backend() { kill_backend; }
# The number in the file has become somebody else's, who is left alone.
break_foreign() {
	kill_one nginx
	sleep 300 &
	HEAL_BYSTANDER=$!
	heal_run eval "echo $HEAL_BYSTANDER >\"\$STACK_RUN/nginx.pid\""
}
break_secrets() { rm -f "$HEAL_STATE"/secret-*; }
break_var() { rm -rf "$HEAL_STATE/run" "$HEAL_STATE/cache-app" "$HEAL_STATE/stamp"; }
# The power went off in the middle of making the first database.
break_initdb() {
	heal_lustrum stop >/dev/null
	mv "$HEAL_STATE/postgres" "$HEAL_STATE/postgres.kept"
	mkdir -p "$HEAL_STATE/postgres.new/base" && echo 15 >"$HEAL_STATE/postgres.new/PG_VERSION"
	heal_lustrum start --empty >/dev/null || return 1
	heal_lustrum stop >/dev/null
	rm -rf "$HEAL_STATE/postgres" && mv "$HEAL_STATE/postgres.kept" "$HEAL_STATE/postgres"
}

# Breaks it, lets start heal it, and counts what was acknowledged.
heal_case() { # NAME
	"break_$1" >/dev/null 2>&1 || return 1
	sleep 0.3
	heal_lustrum start --empty >"$HEAL_STATE/start.log" 2>&1 || { cat "$HEAL_STATE/start.log"; return 1; }
	curl -fsS -m 20 -o /dev/null "http://127.0.0.1:$HEAL_PORT/api/health" || return 1
	if [ -n "${HEAL_BYSTANDER:-}" ]; then
		kill -0 "$HEAL_BYSTANDER" || { echo 'a process that is not ours was signalled'; return 1; }
		kill "$HEAL_BYSTANDER"
		HEAL_BYSTANDER=""
	fi
	heal_php check
}

heal_begin() {
	heal_lustrum stop >/dev/null 2>&1 || true
	rm -rf "$HEAL_STATE"
	mkdir -p "$HEAL_STATE"
	heal_lustrum start --empty || return 1
	heal_php begin
	# Not by way of a function: what is to be ended is the writer itself.
	php deploy/heal.php write "http://127.0.0.1:$HEAL_PORT" "$HEAL_STATE/written.log" >"$HEAL_STATE/writer.log" 2>&1 &
	HEAL_WRITER=$!
}

heal_end() {
	kill "$HEAL_WRITER" 2>/dev/null || true
	wait "$HEAL_WRITER" 2>/dev/null || true
	heal_lustrum stop >/dev/null 2>&1 || true
}

# A backup put back is what was backed up; a damaged one changes nothing, and the application goes on.
heal_backup() {
	local file="$HEAL_STATE/a.backup" broken="$HEAL_STATE/broken.backup" folder="$HEAL_STATE/unpacked"
	rm -f "$file"
	heal_lustrum backup "$file" >/dev/null && [ "$(stat -c %a "$file")" = 600 ] || return 1
	head -c 2000 "$file" >"$broken"
	if heal_lustrum restore "$broken" >/dev/null 2>&1; then echo 'half an archive was taken'; return 1; fi
	mkdir -p "$folder" && tar -xzf "$file" -C "$folder" && find "$folder" -name '*.jpg' ! -name '*-preview.jpg' -delete
	tar -czf "$broken" -C "$folder" database.dump .
	if heal_lustrum restore "$broken" >"$HEAL_STATE/restore.log" 2>&1; then echo 'an archive without its pictures was taken'; return 1; fi
	grep -q 'not in the archive' "$HEAL_STATE/restore.log" && heal_php check || return 1
	heal_php mark
	heal_lustrum restore "$file" >"$HEAL_STATE/restore.log" 2>&1 || { cat "$HEAL_STATE/restore.log"; return 1; }
	heal_php restored
}

test_heal() {
	check 'Lustrum of its own, and somebody who writes' heal_begin
	local name
	for name in php php_workers nginx nginx_workers worker backend postgres foreign secrets var initdb; do
		check "Healed: ${name//_/ }" heal_case "$name"
	done
	kill "$HEAL_WRITER" 2>/dev/null || true
	check 'Backup and restore' heal_backup
	check 'The same write twenty times at once, and two leads at once' heal_php together
	heal_end
}

# Fifty rounds, the kinds in turn, under writes; what it gave is printed.
test_heal_rounds() {
	check 'Lustrum of its own, and somebody who writes' heal_begin
	local kinds=(php php_workers nginx nginx_workers worker backend postgres) i
	for i in $(seq 1 "$HEAL_ROUNDS"); do check "Round $i: ${kinds[$(((i - 1) % ${#kinds[@]}))]}" heal_case "${kinds[$(((i - 1) % ${#kinds[@]}))]}"; done
	heal_php summary || true
	heal_end
}
