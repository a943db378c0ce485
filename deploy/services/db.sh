#!/bin/bash
. "@ROOT@/deploy/services/begin.sh"
# Each process of PostgreSQL makes a group of its own; those whose server was killed are known by the folder they stand in.
for _ in 1 2 3 4 5 6 7 8 9 10; do
	left="$(find /proc -maxdepth 2 -name cwd -lname "@PG_DATA@" 2>/dev/null | cut -d/ -f3)"
	[ -n "$left" ] || break
	# shellcheck disable=SC2086
	kill -KILL $left 2>/dev/null || true
	sleep 0.1
done
exec chpst -P @AS@ "@PG_BIN@/postgres" -D "@PG_DATA@" -p "@DB_PORT@"
