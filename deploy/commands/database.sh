# shellcheck shell=bash
# A PostgreSQL cluster of the project's own, on loopback.
db_running() { [ -f "$PG_DATA/postmaster.pid" ] && as "$DB_USER" "$PG_BIN/pg_ctl" -D "$PG_DATA" status >/dev/null 2>&1; }
db_url() { printf 'postgresql://lustrum:%s@127.0.0.1:%s/%s?serverVersion=15&charset=utf8' "$(secret database)" "$DB_PORT" "$1"; }
db_sql() { PGPASSWORD="$(secret database)" "$PG_BIN/psql" -h 127.0.0.1 -p "$DB_PORT" -U lustrum -d "${2:-postgres}" -v ON_ERROR_STOP=1 -qtAc "$1"; }

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
	db_running && return 0
	port_taken "$DB_PORT" && die "port $DB_PORT is taken; choose another with LUSTRUM_DB_PORT=… ./lustrum start"
	step "Starting PostgreSQL on 127.0.0.1:$DB_PORT"
	as "$DB_USER" "$PG_BIN/pg_ctl" -D "$PG_DATA" -w -t 60 -l "$PG_DATA/server.log" -o "-p $DB_PORT" start >/dev/null || { tail -n 20 "$PG_DATA/server.log" >&2; die 'PostgreSQL did not start'; }
}

db_stop() {
	db_running || return 0
	step 'Stopping PostgreSQL'
	as "$DB_USER" "$PG_BIN/pg_ctl" -D "$PG_DATA" -m fast -w stop >/dev/null
}

db_create() { [ "$(db_sql "SELECT 1 FROM pg_database WHERE datname = '$1'")" = 1 ] || db_sql "CREATE DATABASE $1"; }
db_drop() { db_sql "DROP DATABASE IF EXISTS $1 WITH (FORCE)"; }
