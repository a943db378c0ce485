# shellcheck shell=bash
# Nothing is touched before the whole archive has been read, every file against its hash; what was there before is set aside,
# not thrown away. Where it gives up, what ran before runs again.
run_restore() {
	[ $# -eq 1 ] && [ -f "$1" ] || die 'name the file to read: ./lustrum restore FILE'
	db_start
	stack main "$PORT" lustrum
	local work="$STATE/restore"
	restore_read "$1" "$work"
	local ran=no
	if web_running; then ran=yes; fi
	web_stop
	restore_swap "$work" || {
		if [ "$ran" = yes ]; then web_start; fi
		die 'the restored state could not be put in place; the one that was there is as it was'
	}
	say "Restored. What was there before lies in the database lustrum_before and in $STACK_FILES.before until the next restore."
	. deploy/commands/start.sh
	run_start --empty
}

# Unpacks an archive into a folder and a database beside those in use, and reads all of it.
restore_read() { # FILE FOLDER
	[ -f "$1" ] || die "$1 is not there"
	restore_unpack "$1" "$2"
	restore_database "$2"
	restore_files "$2"
}

restore_unpack() { # FILE FOLDER
	local names
	names="$(tar -tzf "$1" 2>/dev/null)" || die "$1 is damaged or no backup of Lustrum; nothing was changed"
	grep -qx 'database.dump' <<<"$names" || die "$1 is not a backup of Lustrum; nothing was changed"
	if grep -qE '^/|(^|/)\.\.(/|$)' <<<"$names"; then die "$1 names files outside of itself; nothing was changed"; fi
	rm -rf "$2"
	(umask 077 && mkdir -p "$2")
	tar -xzf "$1" -C "$2" --no-same-owner
	"$PG_BIN/pg_restore" -l "$2/database.dump" >/dev/null 2>&1 || restore_give_up "$2" "the database in $1 is damaged; nothing was changed"
}

restore_forget() { # FOLDER
	rm -rf "$1"
	db_drop lustrum_restore
}

restore_give_up() { # FOLDER WORDS
	restore_forget "$1"
	die "$2"
}

# The dump goes into a database of its own, which is brought up to date there.
restore_database() { # FOLDER
	step 'Reading the database'
	db_drop lustrum_restore
	db_create lustrum_restore
	PGPASSWORD="$(secret database)" "$PG_BIN/pg_restore" -h 127.0.0.1 -p "$DB_PORT" -U lustrum --no-owner --exit-on-error -d lustrum_restore "$1/database.dump" ||
		restore_give_up "$1" 'the database could not be read; the one that was there is as it was'
	db_hand_over lustrum_restore
	rm -f "$1/database.dump"
	# Nobody stays signed in through a restore, not even those of an older backup.
	db_sql "DO \$\$ BEGIN
		IF to_regclass('session') IS NOT NULL THEN TRUNCATE session; END IF;
		IF to_regclass('signed_in') IS NOT NULL THEN TRUNCATE signed_in CASCADE; END IF;
	END \$\$" lustrum_restore
	warm_cache
	restore_console "$1" doctrine:migrations:migrate --no-interaction --quiet --allow-no-migration ||
		restore_give_up "$1" 'the database could not be brought up to date; the one that was there is as it was'
}

# As the application, at the unpacked state.
restore_console() { # FOLDER COMMAND…
	(
		stack restore 0 lustrum_restore
		STACK_FILES="$1"
		shift
		console "$@"
	)
}

# Every file that the database names is in the archive, and is what was kept.
restore_files() { # FOLDER
	step 'Reading every file'
	own "$APP_USER" "$1"
	local said
	said="$(restore_console "$1" lustrum:check)" || {
		printf '%s\n' "$said"
		restore_give_up "$1" 'files that the database names are missing or damaged in the archive; nothing was changed'
	}
}

restore_swap() { # FOLDER
	step 'Putting database and files in place'
	db_drop lustrum_before
	if [ "$(db_sql "SELECT 1 FROM pg_database WHERE datname = 'lustrum'")" = 1 ]; then
		db_sql "SELECT pg_terminate_backend(pid) FROM pg_stat_activity WHERE datname = 'lustrum'" >/dev/null
		db_sql 'ALTER DATABASE lustrum RENAME TO lustrum_before' || return 1
	fi
	if ! db_sql 'ALTER DATABASE lustrum_restore RENAME TO lustrum'; then
		db_sql 'ALTER DATABASE lustrum_before RENAME TO lustrum'
		return 1
	fi
	rm -rf "$STACK_FILES.before"
	if [ -d "$STACK_FILES" ]; then mv "$STACK_FILES" "$STACK_FILES.before"; fi
	mv "$1" "$STACK_FILES"
	chmod 755 "$STACK_FILES"
	own "$APP_USER" "$STACK_FILES"
	rm -f "$STATE/stamp/migrations"
}
