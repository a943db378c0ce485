# shellcheck shell=bash
run_reset() {
	install_packages
	install_php_libraries
	db_start
	stack main "$PORT" lustrum
	web_stop
	step 'Throwing the data away'
	db_drop lustrum
	rm -rf "$STACK_FILES"
	rm -f "$STATE/stamp/migrations"
	. deploy/commands/start.sh
	run_start "$@"
}
