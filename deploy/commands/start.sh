# shellcheck shell=bash
run_start() {
	local empty=no
	[ "${1:-}" = --empty ] && empty=yes
	step 'Lustrum'
	install_packages
	install_php_libraries
	build_web
	db_start
	stack main "$PORT" lustrum
	db_create lustrum
	# What runs was begun with other code, also where a test has prepared the new one meanwhile.
	local code fresh=no
	code="$(code_hash)"
	[ "$(cat "$STACK_RUN/code" 2>/dev/null || true)" = "$code" ] || fresh=yes
	warm_cache "$code"
	local want
	want="$(hash_files migrations)-$(cat "$PG_DATA/PG_VERSION")"
	if [ "$(db_sql "SELECT to_regclass('account') IS NOT NULL" lustrum)" != t ] || ! done_before migrations "$want"; then
		step 'Bringing the database up to date'
		console doctrine:migrations:migrate --no-interaction --quiet --allow-no-migration
		mark_done migrations "$want"
	fi
	own "$APP_USER" "$STACK_FILES"
	warm_classes
	if [ "$empty" = no ]; then load_demo; fi
	if web_running && [ "$fresh" = yes ]; then web_reload; fi
	web_start
	printf '%s' "$code" >"$STACK_RUN/code"
	printf '\nLustrum is at  http://127.0.0.1:%s\n' "$PORT"
	if [ "$(db_sql "SELECT count(*) FROM account WHERE email LIKE '%@hollowlane.example'" lustrum)" != 0 ]; then
		printf 'Sign in as     maren@hollowlane.example (lead), tobias@…, ines@… or yusuf@hollowlane.example\n'
		printf 'Password       %s\n' "$(cat demo/password)"
	elif [ "$(db_sql 'SELECT count(*) FROM account' lustrum)" = 0 ]; then
		printf 'Nobody has an account yet: the first visitor makes it.\n'
	else
		printf 'Sign in with your own account; there are %s.\n' "$(db_sql 'SELECT count(*) FROM account' lustrum)"
	fi
	printf 'Stop it with   ./lustrum stop\n'
}
