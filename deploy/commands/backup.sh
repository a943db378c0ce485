# shellcheck shell=bash
run_backup() {
	[ $# -eq 1 ] || die 'name the file to write: ./lustrum backup FILE'
	[ ! -e "$1" ] || die "$1 is there already; it is not overwritten"
	db_start
	stack main "$PORT" lustrum
	local work
	work="$(mktemp -d)"
	step 'Writing the database and the pictures'
	PGPASSWORD="$(secret database)" "$PG_BIN/pg_dump" -h 127.0.0.1 -p "$DB_PORT" -U lustrum -Fc lustrum >"$work/database.dump"
	mkdir -p "$STACK_FILES"
	tar -czf "$1" -C "$work" database.dump -C "$STACK_FILES" .
	rm -rf "$work"
	say "$1, $(du -h "$1" | cut -f1)"
}
