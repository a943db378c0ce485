# shellcheck shell=bash
# Breaks a Lustrum of its own in every way that is known, and sees it come back without a hand, while somebody goes on writing
# and uploading: what was acknowledged is there afterwards. Each way once in every test; './lustrum test heal' does fifty
# rounds of kill -9, of backups while people work, and of handing a device over.
HEAL_STATE="$VAR/heal"
HEAL_PORT="${LUSTRUM_HEAL_PORT:-8450}"
HEAL_DB_PORT="${LUSTRUM_HEAL_DB_PORT:-8451}"
HEAL_ROUNDS=50

heal_lustrum() { LUSTRUM_STATE="$HEAL_STATE" LUSTRUM_PORT="$HEAL_PORT" LUSTRUM_DB_PORT="$HEAL_DB_PORT" "$ROOT/lustrum" "$@"; }
heal_run() { # a command of this file's, as the broken one sees its paths
	(
		export LUSTRUM_STATE="$HEAL_STATE" LUSTRUM_PORT="$HEAL_PORT" LUSTRUM_DB_PORT="$HEAL_DB_PORT"
		. deploy/commands/common.sh
		. deploy/commands/services.sh
		. deploy/commands/database.sh
		. deploy/commands/web.sh
		. deploy/commands/backup.sh
		. deploy/commands/restore.sh
		stack main "$PORT" lustrum
		"$@"
	)
}
heal_php() { LUSTRUM_DB_PORT="$HEAL_DB_PORT" php deploy/heal.php "$1" "http://127.0.0.1:$HEAL_PORT" "${2:-$HEAL_STATE/written.log}"; }

# The first process of a service, and the others of its group.
first_of() { awk '{ print $2 }' "$SERVICES/$1/group"; }
kill_first() { kill -9 "$(first_of "$1")"; }
kill_others() { # SERVICE
	local first pid
	first="$(first_of "$1")"
	for pid in $(group_of "$first"); do [ "$pid" = "$first" ] || kill -9 "$pid"; done
}
kill_backend() {
	local pid
	pid="$(db_sql "SELECT pid FROM pg_stat_activity WHERE datname = 'lustrum' LIMIT 1")"
	[ -z "$pid" ] || kill -9 "$pid"
}
kill_supervisor() { kill -9 "$(awk '{ print $2 }' "$RUN/supervisor")"; }
# Whoever looks after a service, with the service left behind.
kill_runsv() { kill -9 "$(awk '{ print $4 }' "/proc/$(first_of main-php)/stat")"; }

break_php() { heal_run kill_first main-php; }
break_php_workers() { heal_run kill_others main-php; }
break_nginx() { heal_run kill_first main-nginx; }
break_nginx_workers() { heal_run kill_others main-nginx; }
break_worker() { heal_run kill_first main-pictures; }
break_postgres() { heal_run kill_first db; }
break_backend() { heal_run kill_backend; }
break_runsv() { heal_run kill_runsv; }

# What a folder thrown away or a secret lost wants a hand for: start.
mend_supervisor() { heal_run kill_supervisor; }
mend_secrets() { rm -f "$HEAL_STATE"/secret-*; }
# Who is still there may write into a folder while it goes: thrown away again until it is gone.
mend_var() { wait_for 50 rm -rf "$HEAL_STATE/run" "$HEAL_STATE/cache-app" "$HEAL_STATE/stamp"; }
# Thrown away while it runs, then stopped: nobody of ours is left, and nobody holds the port.
mend_stop() {
	wait_for 50 rm -rf "$HEAL_STATE/run" && heal_lustrum stop || return 1
	if port_taken "$HEAL_PORT" || port_taken "$HEAL_DB_PORT"; then return 1; fi
}
# Somebody else bears the number that is noted of a service, and is left alone.
mend_foreign() {
	heal_lustrum stop >/dev/null
	sleep 300 &
	HEAL_BYSTANDER=$!
	heal_run eval 'echo "$(boot) '"$HEAL_BYSTANDER"' 1" >"$SERVICES/main-nginx/group"; echo "another-boot '"$HEAL_BYSTANDER"' 1" >"$RUN/supervisor"'
}
# The power went off in the middle of making the first database.
mend_initdb() {
	heal_lustrum stop >/dev/null
	mv "$HEAL_STATE/postgres" "$HEAL_STATE/postgres.kept"
	mkdir -p "$HEAL_STATE/postgres.new/base" && echo 15 >"$HEAL_STATE/postgres.new/PG_VERSION"
	heal_lustrum start --empty >/dev/null || return 1
	heal_lustrum stop >/dev/null
	rm -rf "$HEAL_STATE/postgres" && mv "$HEAL_STATE/postgres.kept" "$HEAL_STATE/postgres"
}

heal_whole() { web_running && db_running && web_answers; }

# Breaks it, waits until all of it is there again, and counts what was acknowledged.
heal_case() { # NAME
	local from
	"break_$1" >"$HEAL_STATE/break.log" 2>&1 || { cat "$HEAL_STATE/break.log"; return 1; }
	from="$(date +%s%N)"
	sleep 0.3
	heal_run wait_for 600 heal_whole || { echo 'it did not come back'; heal_run sv status "$HEAL_STATE"/run/service/*; return 1; }
	echo "$((($(date +%s%N) - from) / 1000000)) $1" >>"$HEAL_STATE/took"
	heal_php check
}

# Breaks it, lets start mend it, and counts what was acknowledged.
heal_mend() { # NAME
	"mend_$1" >"$HEAL_STATE/mend.log" 2>&1 || { cat "$HEAL_STATE/mend.log"; return 1; }
	heal_lustrum start --empty >"$HEAL_STATE/start.log" 2>&1 || { cat "$HEAL_STATE/start.log"; return 1; }
	heal_run wait_for 100 heal_whole || return 1
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
	heal_writer
}
heal_writer() {
	# Not by way of a function: what is to be ended is the writer itself.
	php deploy/heal.php write "http://127.0.0.1:$HEAL_PORT" "$HEAL_STATE/written.log" >"$HEAL_STATE/writer.log" 2>&1 &
	HEAL_WRITER=$!
	wait_for 200 heal_written
}
heal_written() { [ "$(wc -l <"$HEAL_STATE/written.log")" -gt 20 ]; }
heal_quiet() {
	kill "$HEAL_WRITER" 2>/dev/null || true
	wait "$HEAL_WRITER" 2>/dev/null || true
}

heal_end() {
	heal_quiet
	heal_lustrum stop >/dev/null 2>&1 || true
}

# A backup while somebody writes and uploads holds all that was acknowledged before it began, every file whole.
heal_backup_meanwhile() {
	local file="$HEAL_STATE/meanwhile.backup" before="$HEAL_STATE/before.log" code=0
	rm -f "$file"
	cp "$HEAL_STATE/written.log" "$before"
	heal_lustrum backup "$file" || return 1
	heal_run restore_read "$file" "$HEAL_STATE/restore" || return 1
	LUSTRUM_HEAL_DATABASE=lustrum_restore heal_php check "$before" || code=1
	heal_run restore_forget "$HEAL_STATE/restore"
	return "$code"
}

# A backup put back is what was backed up; a damaged one changes nothing, and the application goes on.
heal_backup() {
	local file="$HEAL_STATE/a.backup" broken="$HEAL_STATE/broken.backup" folder="$HEAL_STATE/unpacked" one
	rm -rf "$file" "$folder"
	heal_lustrum backup "$file" >/dev/null && [ "$(stat -c %a "$file")" = 600 ] || return 1
	head -c 2000 "$file" >"$broken"
	if heal_lustrum restore "$broken" >/dev/null 2>&1; then echo 'half an archive was taken'; return 1; fi
	mkdir -p "$folder" && tar -xzf "$file" -C "$folder"
	one="$(find "$folder" -name '*.jpg' ! -name '*-preview.jpg' | head -n 1)"
	: >"$one"
	heal_refused "$broken" "$folder" 'its content has another hash' 'an emptied picture was taken' || return 1
	rm -f "$one"
	heal_refused "$broken" "$folder" 'is missing' 'an archive without a picture was taken' || return 1
	heal_php mark
	heal_lustrum restore "$file" >"$HEAL_STATE/restore.log" 2>&1 || { cat "$HEAL_STATE/restore.log"; return 1; }
	heal_php restored && heal_lustrum check
}
heal_refused() { # FILE FOLDER SENTENCE WORDS
	# shellcheck disable=SC2046
	tar -czf "$1" -C "$2" $(cd "$2" && ls)
	if heal_lustrum check "$1" >"$HEAL_STATE/restore.log" 2>&1; then echo "$4 (check)"; return 1; fi
	if heal_lustrum restore "$1" >"$HEAL_STATE/restore.log" 2>&1; then echo "$4"; return 1; fi
	grep -q "$3" "$HEAL_STATE/restore.log" && heal_php check || { cat "$HEAL_STATE/restore.log"; return 1; }
}

# A file that is emptied where it lies is found.
heal_check() {
	local one
	heal_lustrum check || return 1
	one="$(find "$HEAL_STATE/files-main" -name '*.jpg' ! -name '*-preview.jpg' | head -n 1)"
	cp "$one" "$HEAL_STATE/aside" && : >"$one"
	if heal_lustrum check >"$HEAL_STATE/check.log"; then echo 'an emptied picture was not found'; return 1; fi
	cat "$HEAL_STATE/aside" >"$one"
	grep -q 'another hash' "$HEAL_STATE/check.log"
}

test_heal() {
	check 'Lustrum of its own, and somebody who writes and uploads' heal_begin
	local name
	for name in php php_workers nginx nginx_workers worker backend postgres runsv; do check "Comes back: ${name//_/ }" heal_case "$name"; done
	for name in supervisor foreign secrets var stop initdb; do check "Mended by start: ${name//_/ }" heal_mend "$name"; done
	check 'A backup while somebody writes and uploads' heal_backup_meanwhile
	check 'A device handed over among twenty requests' heal_php handover
	heal_quiet
	check 'No address by another spelling' heal_php spellings
	check 'Check' heal_check
	check 'Backup and restore' heal_backup
	check 'The same write twenty times at once, and two leads at once' heal_php together
	heal_end
}

# Fifty rounds of each, under writes; what they gave is printed.
test_heal_rounds() {
	check 'Lustrum of its own, and somebody who writes and uploads' heal_begin
	local kinds=(php php_workers nginx nginx_workers worker backend postgres runsv) i
	for i in $(seq 1 "$HEAL_ROUNDS"); do check "Round $i: ${kinds[$(((i - 1) % ${#kinds[@]}))]}" heal_case "${kinds[$(((i - 1) % ${#kinds[@]}))]}"; done
	heal_php summary || true
	say "all back after $(sort -n "$HEAL_STATE/took" | awk '{ t[NR] = $1 } END { printf "%.1f s in the middle", t[int((NR + 1) / 2)] / 1000 }'), at the most:"
	sort -k 2,2 -k 1,1nr "$HEAL_STATE/took" | awk '$2 != kind { kind = $2; printf "  %.1f s %s\n", $1 / 1000, kind }'
	for i in $(seq 1 "$HEAL_ROUNDS"); do check "Backup $i while somebody writes and uploads" heal_backup_meanwhile; done
	for i in $(seq 1 "$HEAL_ROUNDS"); do check "Handed over $i" heal_php handover; done
	heal_end
}
