# shellcheck shell=bash
# A PostgreSQL cluster of the project's own, on loopback.
db_running() { service_up db && db_answers; }
db_answers() { "$PG_BIN/pg_isready" -q -h 127.0.0.1 -p "$DB_PORT"; }
# The application is no superuser: it owns its databases and nothing else.
db_url() { printf 'postgresql://lustrum_app:%s@127.0.0.1:%s/%s?serverVersion=15' "$(secret database-app)" "$DB_PORT" "$1"; }
db_sql() { PGOPTIONS='-c client_min_messages=warning' PGPASSWORD="$(secret database)" "$PG_BIN/psql" -h 127.0.0.1 -p "$DB_PORT" -U lustrum -d "${2:-postgres}" -v ON_ERROR_STOP=1 -qtAc "$1"; }

db_start() {
	own "$DB_USER" "$RUN/db"
	if [ ! -f "$PG_DATA/PG_VERSION" ]; then
		# Made beside and moved: a cluster whose making was cut off is never taken for one.
		local making="$PG_DATA.new"
		rm -rf "$making"
		rmdir "$PG_DATA" 2>/dev/null || [ ! -e "$PG_DATA" ] || die "$PG_DATA is there but is no database; move it away"
		own "$DB_USER" "$making"
		chmod 700 "$making"
		step 'Creating the database'
		local password="$RUN/db/password"
		(umask 077 && secret database >"$password")
		own "$DB_USER" "$RUN/db"
		as "$DB_USER" "$PG_BIN/initdb" -D "$making" -U lustrum --pwfile="$password" --auth=scram-sha-256 -E UTF8 --locale=C.UTF-8 >"$VAR/initdb.log" 2>&1 || { cat "$VAR/initdb.log" >&2; die 'the database could not be created'; }
		rm -f "$password"
		cp deploy/postgres.conf "$making/lustrum.conf"
		if is_root; then chown "$DB_USER" "$making/lustrum.conf"; fi
		echo "include 'lustrum.conf'" >>"$making/postgresql.conf"
		mv "$making" "$PG_DATA"
	fi
	own "$DB_USER" "$PG_DATA"
	chmod 700 "$PG_DATA"
	supervisor_start
	local new=no
	if service_write db db.sh INT; then new=yes; fi
	if db_running && [ "$new" = no ]; then
		db_know
		return 0
	fi
	service_up db || db_left_end
	if ! service_up db && port_taken "$DB_PORT"; then
		die "port $DB_PORT is taken; choose another with LUSTRUM_DB_PORT=… ./lustrum start"
	fi
	step "Starting PostgreSQL on 127.0.0.1:$DB_PORT"
	if [ "$new" = yes ]; then service_stop db; fi
	db_up
	db_know
}

# A server of ours that nobody looks after any more, known by the folder it stands in, ends.
db_left_end() {
	local left
	left="$(find /proc -maxdepth 2 -name cwd -lname "$PG_DATA" 2>/dev/null | cut -d/ -f3 || true)"
	[ -n "$left" ] || return 0
	# shellcheck disable=SC2086
	kill -INT $left 2>/dev/null || true
	wait_for 50 eval "! port_taken $DB_PORT" || true
}

# A server that was killed reads its log anew before it answers.
db_up() {
	service_start db
	wait_for 600 db_answers && return 0
	service_log db >&2
	die 'PostgreSQL did not start'
}

# The server knows our passwords, also where a secret was lost and made anew.
db_know() {
	local i
	for i in $(seq 1 50); do
		if db_sql 'SELECT 1' >/dev/null 2>"$STATE/db_know.log"; then break; fi
		if grep -q 'password authentication failed' "$STATE/db_know.log"; then
			step 'The secret of the database was lost; setting a new one'
			service_stop db
			printf "ALTER ROLE lustrum PASSWORD '%s'\n" "$(secret database)" |
				as "$DB_USER" "$PG_BIN/postgres" --single -D "$PG_DATA" postgres >/dev/null 2>&1 || die 'the database could not be given a new secret'
			db_up
		fi
		sleep 0.2
	done
	rm -f "$STATE/db_know.log"
	local want
	want="$(hash_of "$(secret database-app)")"
	if [ "$(db_sql "SELECT shobj_description(oid, 'pg_authid') FROM pg_roles WHERE rolname = 'lustrum_app'")" != "$want" ]; then
		db_sql "DO \$\$ BEGIN IF NOT EXISTS (SELECT 1 FROM pg_roles WHERE rolname = 'lustrum_app') THEN CREATE ROLE lustrum_app; END IF; END \$\$"
		db_sql "ALTER ROLE lustrum_app LOGIN NOSUPERUSER NOCREATEDB NOCREATEROLE PASSWORD '$(secret database-app)'"
		db_sql "COMMENT ON ROLE lustrum_app IS '$want'"
	fi
}

# Everything in a database belongs to the application; what an earlier release made as superuser is handed over.
db_hand_over() { # DATABASE
	[ "$(db_sql "SELECT pg_get_userbyid(datdba) FROM pg_database WHERE datname = '$1'")" = lustrum_app ] || db_sql "ALTER DATABASE $1 OWNER TO lustrum_app"
	db_sql "DO \$\$ DECLARE o RECORD; BEGIN
		EXECUTE 'ALTER SCHEMA public OWNER TO lustrum_app';
		FOR o IN SELECT c.oid::regclass AS name, c.relkind FROM pg_class c WHERE relnamespace = 'public'::regnamespace AND relkind IN ('r', 'S', 'v')
			AND pg_get_userbyid(relowner) <> 'lustrum_app'
			AND NOT EXISTS (SELECT 1 FROM pg_depend d WHERE d.objid = c.oid AND d.deptype IN ('a', 'i') AND c.relkind = 'S') LOOP
			EXECUTE format('ALTER %s %s OWNER TO lustrum_app', CASE o.relkind WHEN 'r' THEN 'TABLE' WHEN 'v' THEN 'VIEW' ELSE 'SEQUENCE' END, o.name);
		END LOOP;
		FOR o IN SELECT p.oid::regprocedure AS name FROM pg_proc p WHERE pronamespace = 'public'::regnamespace AND pg_get_userbyid(proowner) <> 'lustrum_app' LOOP
			EXECUTE format('ALTER FUNCTION %s OWNER TO lustrum_app', o.name);
		END LOOP;
	END \$\$" "$1"
}

db_stop() {
	service_up db || return 0
	step 'Stopping PostgreSQL'
	service_stop db
}

db_create() { # DATABASE
	[ "$(db_sql "SELECT 1 FROM pg_database WHERE datname = '$1'")" = 1 ] || db_sql "CREATE DATABASE $1 OWNER lustrum_app"
	db_hand_over "$1"
}
db_drop() { db_sql "DROP DATABASE IF EXISTS $1 WITH (FORCE)"; }
