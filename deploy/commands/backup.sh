# shellcheck shell=bash
# Nobody's session and nothing that can be worked out again goes into a backup.
run_backup() {
	[ $# -eq 1 ] || die 'name the file to write: ./lustrum backup FILE'
	[ ! -e "$1" ] || die "$1 is there already; it is not overwritten"
	db_start
	stack main "$PORT" lustrum
	local work part="$1.part"
	work="$(mktemp -d)"
	step 'Writing the database and the pictures'
	local table without=()
	for table in session signed_in sign_in_failure summary; do without+=("--exclude-table-data=$table"); done
	mkdir -p "$STACK_FILES"
	# Whoever reads it reads everything: it is the owner's alone. It has its name only once it is whole.
	(
		umask 077
		PGPASSWORD="$(secret database)" "$PG_BIN/pg_dump" -h 127.0.0.1 -p "$DB_PORT" -U lustrum -Fc "${without[@]}" lustrum >"$work/database.dump" &&
			tar -czf "$part" -C "$work" database.dump -C "$STACK_FILES" .
	) || { rm -rf "$work" "$part"; die 'the backup could not be written'; }
	mv "$part" "$1"
	rm -rf "$work"
	say "$1, $(du -h "$1" | cut -f1), readable by you alone"
}
