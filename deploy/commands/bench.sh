# shellcheck shell=bash
# Measures the budgets of the architecture on this machine and prints a table; nothing here can fail a test.
run_bench() {
	install_packages
	install_php_libraries
	install_node
	build_web
	db_start
	stack bench "${LUSTRUM_BENCH_PORT:-8440}" lustrum_bench
	web_stop
	db_drop lustrum_bench
	db_create lustrum_bench
	warm_cache
	step 'Loading the demo ten times over'
	console doctrine:migrations:migrate --no-interaction --quiet --allow-no-migration
	own "$APP_USER" "$STACK_FILES"
	console lustrum:demo --times=10 --without-pictures
	PGPASSWORD="$(secret database)" "$PG_BIN/psql" -h 127.0.0.1 -p "$DB_PORT" -U lustrum -d lustrum_bench -qc 'VACUUM ANALYZE'
	web_start
	step 'Measuring'
	php deploy/bench.php "http://127.0.0.1:$STACK_PORT" "$(cat demo/password)"
	web_stop
	local before after
	"$ROOT/lustrum" start >/dev/null
	before="$(date +%s.%N)"
	"$ROOT/lustrum" start >/dev/null
	after="$(date +%s.%N)"
	awk -v s="$before" -v e="$after" 'BEGIN { printf "%-58s %9.2f s    budget 10 s\n", "./lustrum start, the second time", e - s }'
}
