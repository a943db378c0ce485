# shellcheck shell=bash
# Breaks deciding lines one by one in a copy and sees a test fail: those of tests/mutations.php, and sixty that are drawn.
test_mutations() {
	local copy="$VAR/mutations" code=0
	rm -rf "$copy"
	mkdir -p "$copy/var"
	cp -a bin config core demo docs migrations public src tests vendor composer.json phpunit.xml.dist "$copy/"
	mkdir "$copy/web"
	cp -a web/src "$copy/web/"
	db_create lustrum_mutations
	db_create lustrum_moved
	export DATABASE_URL LUSTRUM_FILES="$copy/var/files" LUSTRUM_MOVED_URL
	LUSTRUM_MOVED_URL="$(db_url lustrum_moved)"
	DATABASE_URL="$(db_url lustrum_mutations)"
	APP_ENV=test php bin/console doctrine:migrations:migrate --no-interaction --quiet --allow-no-migration
	step 'Breaking deciding lines'
	php deploy/mutations.php "$copy" "$@" || code=$?
	if [ "$code" = 0 ]; then passed 'A broken line is noticed'; else failed 'A broken line is noticed' 'See above which was not.'; fi
	rm -rf "$copy"
}
