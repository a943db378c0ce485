# shellcheck shell=bash
# The database first, then the files that it names, each from its place: whoever writes or uploads meanwhile is not
# disturbed, and what was acknowledged before is in it. Nobody's session and nothing that can be worked out again goes along.
run_backup() {
	[ $# -eq 1 ] || die 'name the file to write: ./lustrum backup FILE'
	[ ! -e "$1" ] || die "$1 is there already; it is not overwritten"
	db_start
	stack main "$PORT" lustrum
	local work part="$1.part"
	work="$(mktemp -d)"
	step 'Writing the database and the files that it names'
	mkdir -p "$STACK_FILES"
	# Whoever reads it reads everything: it is the owner's alone. It has its name only once it is whole.
	(umask 077 && backup_whole "$work" "$part") || { rm -rf "$work" "$part"; die 'the backup could not be written'; }
	mv "$part" "$1"
	if [ -s "$work/gone" ]; then
		say "$(wc -l <"$work/gone") files that the database names were gone before this began, and are not in it:"
		sed 's/^/    /' "$work/gone"
	fi
	rm -rf "$work"
	say "$1, $(du -h "$1" | cut -f1), readable by you alone"
}

# Dump and list are of one moment: a session of its own holds it, and keeps workers from taking away what waits
# (Action\Files\Preparing::BACKUP_LOCK) until everything is packed.
backup_whole() { # FOLDER FILE
	local table without=() snapshot
	for table in session signed_in sign_in_failure summary; do without+=("--exclude-table-data=$table"); done
	coproc HOLDER { PGPASSWORD="$(secret database)" "$PG_BIN/psql" -h 127.0.0.1 -p "$DB_PORT" -U lustrum -d lustrum -v ON_ERROR_STOP=1 -qtA; }
	local to="${HOLDER[1]}" from="${HOLDER[0]}" pid="$HOLDER_PID" code=0 said=""
	echo "SELECT pg_advisory_lock_shared(7420001) IS NULL; BEGIN ISOLATION LEVEL REPEATABLE READ READ ONLY; SELECT 'at ' || pg_export_snapshot();" >&"$to"
	while read -r -t 60 snapshot <&"$from" && [[ "$snapshot" != at\ * ]]; do :; done
	snapshot="${snapshot#at }"
	PGPASSWORD="$(secret database)" "$PG_BIN/pg_dump" -h 127.0.0.1 -p "$DB_PORT" -U lustrum -Fc --snapshot="$snapshot" "${without[@]}" lustrum >"$1/database.dump" || code=1
	printf '%s\n' "\\o $1/named" 'SELECT DISTINCT path FROM stored_file ORDER BY 1;' '\o' "SELECT 'named';" >&"$to"
	while read -r -t 60 said <&"$from" && [ "$said" != named ]; do :; done
	[ "$said" = named ] && backup_pack "$1" "$2" || code=1
	echo '\q' >&"$to"
	wait "$pid" || code=1
	return "$code"
}

backup_pack() { # FOLDER FILE
	local path
	: >"$1/there"
	: >"$1/gone"
	while read -r path; do
		if [ -f "$STACK_FILES/$path" ]; then echo "$path" >>"$1/there"; elif [[ "$path" != *-preview.jpg ]]; then echo "$path" >>"$1/gone"; fi
	done <"$1/named"
	tar -czf "$2" -C "$1" database.dump -C "$STACK_FILES" -T "$1/there"
}
