# shellcheck shell=bash
run_restore() {
	[ $# -eq 1 ] && [ -f "$1" ] || die 'name the file to read: ./lustrum restore FILE'
	# grep reads to the end: tar would take an early goodbye for a failure.
	tar -tzf "$1" 2>/dev/null | grep -x 'database.dump' >/dev/null || die "$1 is not a backup of Lustrum"
	db_start
	stack main "$PORT" lustrum
	web_stop
	local work
	work="$(mktemp -d)"
	tar -xzf "$1" -C "$work"
	step 'Putting the database back'
	db_drop lustrum_restore
	db_sql 'CREATE DATABASE lustrum_restore'
	PGPASSWORD="$(secret database)" "$PG_BIN/pg_restore" -h 127.0.0.1 -p "$DB_PORT" -U lustrum --no-owner -d lustrum_restore "$work/database.dump"
	# Only now, with a whole copy beside it, is the old one let go.
	db_drop lustrum
	db_sql 'ALTER DATABASE lustrum_restore RENAME TO lustrum'
	step 'Putting the pictures back'
	rm -f "$work/database.dump"
	rm -rf "$STACK_FILES"
	mkdir -p "$STACK_FILES"
	cp -a "$work/." "$STACK_FILES/"
	own "$APP_USER" "$STACK_FILES"
	rm -rf "$work"
	say 'Restored. Start with ./lustrum start'
}
