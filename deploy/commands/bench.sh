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
	step 'Making the large workspace'
	console doctrine:migrations:migrate --no-interaction --quiet --allow-no-migration
	own "$APP_USER" "$STACK_FILES"
	load_demo
	local psql=("$PG_BIN/psql" -h 127.0.0.1 -p "$DB_PORT" -U lustrum -d lustrum_bench -v ON_ERROR_STOP=1 -qtA)
	PGPASSWORD="$(secret database)" "${psql[@]}" -f deploy/bench/large.sql | grep -v '^$'
	PGPASSWORD="$(secret database)" "${psql[@]}" -c 'VACUUM ANALYZE'
	web_start
	step 'Measuring'
	PGPASSWORD="$(secret database)" LUSTRUM_PG_BIN="$PG_BIN" LUSTRUM_PG_PORT="$DB_PORT" \
		php deploy/bench/bench.php "http://127.0.0.1:$STACK_PORT" "$(cat demo/password)" "$VAR/bench.json" "$@"
	web_stop
	local before after
	"$ROOT/lustrum" start >/dev/null
	before="$(date +%s.%N)"
	"$ROOT/lustrum" start >/dev/null
	after="$(date +%s.%N)"
	awk -v s="$before" -v e="$after" 'BEGIN { printf "%-58s %9.2f s    budget 3 s\n", "./lustrum start, the second time", e - s }'
}
