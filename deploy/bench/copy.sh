#!/usr/bin/env bash
# Prints how many seconds COPY takes for the rows of one device, into the same tables with their indexes, constraints and
# triggers: the yardstick of an import. deploy/bench/copy.sh DATABASE DEVICE; the rest is what ./lustrum bench exports.
set -euo pipefail
from="$1" device="$2" to="${1}_copy"
work="$(mktemp -d)"
psql() { "$LUSTRUM_PG_BIN/psql" -h 127.0.0.1 -p "$LUSTRUM_PG_PORT" -U lustrum -v ON_ERROR_STOP=1 -qtA "$@"; }
trap 'rm -rf "$work"; psql -d postgres -c "DROP DATABASE IF EXISTS $to" 2>/dev/null' EXIT
psql -d postgres -c "DROP DATABASE IF EXISTS $to" -c "CREATE DATABASE $to" 2>/dev/null
"$LUSTRUM_PG_BIN/pg_dump" -h 127.0.0.1 -p "$LUSTRUM_PG_PORT" -U lustrum -d "$from" --schema-only --no-owner --no-privileges | psql -d "$to" >/dev/null 2>&1
# Some refer to each other in circles: what refers is looked at when all is there, and counted.
psql -d "$to" -c "SELECT format('ALTER TABLE %s ALTER CONSTRAINT %I DEFERRABLE INITIALLY DEFERRED;', conrelid::regclass, conname) FROM pg_constraint WHERE contype = 'f'" | psql -d "$to"
tables="$("$LUSTRUM_PG_BIN/pg_dump" -h 127.0.0.1 -p "$LUSTRUM_PG_PORT" -U lustrum -d "$from" --data-only 2>/dev/null | grep -oP '^COPY public\.\K\S+')"
for table in $tables; do
	# Identifiers are claimed by a trigger; the others are none of the device file's.
	case "$table" in identifier | summary | session | history_entry | messenger_messages) continue ;; esac
	if [ "$(psql -d "$from" -c "SELECT count(*) FROM information_schema.columns WHERE table_name = '$table' AND column_name = 'belongs_to'")" = 1 ]; then
		# What it carries and what carries it stays as it is there: other devices first, and not counted.
		psql -d "$from" -c "\\copy (SELECT * FROM $table WHERE belongs_to <> '$device') TO '$work/$table.others'" -c "\\copy (SELECT * FROM $table WHERE belongs_to = '$device') TO '$work/$table'"
		echo "\\copy $table FROM '$work/$table.others'" >>"$work/before.sql"
		echo "\\copy $table FROM '$work/$table'" >>"$work/timed.sql"
	else
		psql -d "$from" -c "\\copy $table TO '$work/$table'"
		echo "\\copy $table FROM '$work/$table'" >>"$work/before.sql"
	fi
done
psql -d "$to" -1 -f "$work/before.sql" >/dev/null
begun="$(date +%s%N)"
psql -d "$to" -1 -f "$work/timed.sql" >/dev/null
ended="$(date +%s%N)"
awk -v ns="$((ended - begun))" 'BEGIN { printf "%.3f\n", ns / 1e9 }'
