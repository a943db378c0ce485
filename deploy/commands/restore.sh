# shellcheck shell=bash
# Nothing is touched before the whole archive has been read; what was there before is set aside, not thrown away.
run_restore() {
	[ $# -eq 1 ] && [ -f "$1" ] || die 'name the file to read: ./lustrum restore FILE'
	local names
	names="$(tar -tzf "$1" 2>/dev/null)" || die "$1 is damaged or no backup of Lustrum; nothing was changed"
	grep -qx 'database.dump' <<<"$names" || die "$1 is not a backup of Lustrum; nothing was changed"
	if grep -qE '^/|(^|/)\.\.(/|$)' <<<"$names"; then die "$1 names files outside of itself; nothing was changed"; fi
	db_start
	stack main "$PORT" lustrum
	local work="$STATE/restore"
	rm -rf "$work"
	(umask 077 && mkdir -p "$work")
	tar -xzf "$1" -C "$work" --no-same-owner
	"$PG_BIN/pg_restore" -l "$work/database.dump" >/dev/null 2>&1 || { rm -rf "$work"; die "the database in $1 is damaged; nothing was changed"; }
	step 'Putting the database back'
	db_drop lustrum_restore
	db_sql 'CREATE DATABASE lustrum_restore'
	PGPASSWORD="$(secret database)" "$PG_BIN/pg_restore" -h 127.0.0.1 -p "$DB_PORT" -U lustrum --no-owner --exit-on-error -d lustrum_restore "$work/database.dump" ||
		{ db_drop lustrum_restore; rm -rf "$work"; die 'the database could not be put back; the one that was there is as it was'; }
	rm -f "$work/database.dump"
	# Nobody stays signed in through a restore, not even those of an older backup.
	db_sql "DO \$\$ BEGIN
		IF to_regclass('session') IS NOT NULL THEN TRUNCATE session; END IF;
		IF to_regclass('signed_in') IS NOT NULL THEN TRUNCATE signed_in CASCADE; END IF;
	END \$\$" lustrum_restore
	web_stop
	db_drop lustrum_before
	if [ "$(db_sql "SELECT 1 FROM pg_database WHERE datname = 'lustrum'")" = 1 ]; then
		db_sql "SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE datname = 'lustrum'" >/dev/null
		db_sql 'ALTER DATABASE lustrum RENAME TO lustrum_before'
	fi
	db_sql 'ALTER DATABASE lustrum_restore RENAME TO lustrum'
	step 'Putting the pictures back'
	rm -rf "$STACK_FILES.before"
	if [ -d "$STACK_FILES" ]; then mv "$STACK_FILES" "$STACK_FILES.before"; fi
	mv "$work" "$STACK_FILES"
	chmod 755 "$STACK_FILES"
	own "$APP_USER" "$STACK_FILES"
	say "Restored. What was there before lies in the database lustrum_before and in $STACK_FILES.before until the next restore."
	say 'Start with ./lustrum start'
}
