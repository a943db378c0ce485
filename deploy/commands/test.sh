# shellcheck shell=bash
# Runs everything, each test counted once, and closes with the name of each that failed, its first message, and one line:
# N passed, N failed.
RESULTS="$VAR/results.tsv"
# Where what is being run writes to; parts that run beside each other have one each.
LOG="$VAR/test.log"
TEST_PORT="${LUSTRUM_TEST_PORT:-8430}"
# A page waits for its server, and a server for the next touch: one more than there are processors.
BROWSER_WORKERS=3

check() { # WORDS COMMAND…
	local words="$1"
	shift
	step "$words"
	if "$@" >"$LOG" 2>&1; then
		passed "$words"
	else
		failed "$words" "$(grep -m1 '[^[:space:]]' "$LOG" || true)"
		tail -n 60 "$LOG"
	fi
}

# One line for each, in a file that all parts write to: 'pass' or 'fail', the name, the first message.
passed() { printf 'pass\t%s\t\n' "$1" >>"$RESULTS"; } # NAME
failed() { printf 'fail\t%s\t%s\n' "$1" "$(tr '\n\t' '  ' <<<"${2:-}" | cut -c 1-300)" >>"$RESULTS"; } # NAME [MESSAGE]

# Adds what a test runner wrote down; says whether each passed, and the runner with them.
found() { # KIND FILE WORDS CODE
	local of="$VAR/found-$BASHPID.tsv" bad=0
	php deploy/results.php "$1" "$2" "$3" >"$of" || failed "$3" 'What it wrote cannot be read.'
	cat "$of" >>"$RESULTS"
	if grep -q '^fail' "$of"; then
		bad=1
	elif [ "$4" != 0 ]; then
		failed "$3" "No test failed, and yet it ended with $4; see its output above."
		bad=1
	fi
	rm -f "$of"
	[ "$bad" = 0 ]
}

# How long each part took.
PARTS=()
part() { # NAME COMMAND…
	local name="$1" from
	shift
	from="$(date +%s)"
	"$@"
	PARTS+=("$name $(($(date +%s) - from)) s")
}

# Known holes in what is built upon; where nobody can be asked, that is said and nothing fails.
check_audit() {
	audit 'the PHP libraries' 'advisor(y|ies) affecting' composer audit --no-dev --format=plain
	audit 'the libraries of the front end' '[0-9]+ .*vulnerabilit(y|ies)' npm audit --prefix web --omit=dev
}
audit() { # OF FOUND COMMAND…
	local of="$1" found="$2" said code=0
	shift 2
	said="$(timeout 60 "$@" 2>&1)" || code=$?
	if [ "$code" = 0 ]; then
		passed "No known hole in $of"
	elif grep -qiE "$found" <<<"$said"; then
		step "Known holes in $of"
		echo "$said"
		failed "No known hole in $of" "$(grep -iE -m1 "$found" <<<"$said")"
	else
		step "Known holes in $of: nobody could be asked, left out"
	fi
}

test_php() {
	check_audit
	check 'PHPStan, level 9' php -d memory_limit=2G vendor/bin/phpstan analyse --no-progress --error-format=raw
	check 'Code style' env "PHP_INI_SCAN_DIR=:$ROOT/deploy/tools" PHP_CS_FIXER_IGNORE_ENV=1 vendor/bin/php-cs-fixer check --diff --show-progress=none
	step 'PHPUnit, in two halves, each with a database of its own'
	rm -rf "$VAR/cache/test"
	# The first of them makes what both read.
	php_half one tests/Core tests/App/[A-K]*Test.php &
	local first=$!
	while kill -0 "$first" 2>/dev/null && [ ! -e "$VAR/half-one.ready" ]; do sleep 0.2; done
	php_half two tests/App/[L-Z]*Test.php &
	wait "$first" $! || true
	local half lines
	for half in one two; do
		lines=4
		found junit "$VAR/half-$half.xml" "PHPUnit, half $half" "$(cat "$VAR/half-$half.code" 2>/dev/null || echo 1)" || lines=120
		tail -n "$lines" "$VAR/half-$half.log"
	done
}

# Some of the PHP tests, with databases and files of their own.
php_half() { # NAME FILES…
	local name="$1" at="$VAR/half-$1" code=0
	shift
	rm -rf "$at".* "$VAR/files-$name" "$VAR/tmp-$name"
	# Thousands of small files are sent; none of them stays on the machine.
	mkdir -p "$VAR/tmp-$name"
	db_create "lustrum_test_$name"
	db_create "lustrum_moved_$name"
	local run=(env APP_ENV=test APP_DEBUG=0 "TMPDIR=$VAR/tmp-$name" "DATABASE_URL=$(db_url "lustrum_test_$name")" "LUSTRUM_FILES=$VAR/files-$name" "LUSTRUM_MOVED_URL=$(db_url "lustrum_moved_$name")")
	"${run[@]}" php bin/console doctrine:migrations:migrate --no-interaction --quiet --allow-no-migration
	touch "$at.ready"
	"${run[@]}" php -d memory_limit=1G vendor/bin/phpunit --cache-directory "$VAR/phpunit-$name" --display-deprecations --log-junit "$at.xml" "$@" >"$at.log" 2>&1 || code=$?
	rm -rf "$VAR/tmp-$name"
	echo "$code" >"$at.code"
}

test_web() {
	check 'Types of the interface are those of its description' bash -c 'cd web && npx openapi-typescript ../docs/openapi.json -o src/api/schema.d.ts --check'
	check 'TypeScript' bash -c 'cd web && npx tsc --noEmit'
	check 'ESLint' bash -c 'cd web && npx eslint . --max-warnings 0'
	step 'Vitest'
	local code=0
	rm -f "$VAR/vitest.json"
	(cd web && npx vitest run --reporter=json --outputFile="$VAR/vitest.json") >"$LOG" 2>&1 || code=$?
	found vitest "$VAR/vitest.json" Vitest "$code" || tail -n 60 "$LOG"
	check 'Prettier' bash -c 'cd web && npx prettier --check "src/**/*.{ts,tsx,css}" "../tests/browser/*.ts"'
}

# Healing waits for processes most of its time, and so do hostile requests: what looks at the front end's code goes on beside.
test_web_heal_fuzz() {
	build_web
	browser_demo
	(
		LOG="$VAR/heal.log"
		test_heal
	) &
	local healing=$!
	# Shorter than by itself: the plain test has its quarter of an hour.
	test_fuzz "" 50 >"$VAR/fuzz-beside.log" 2>&1 &
	local fuzzing=$!
	test_web
	wait "$healing" || failed 'Healing' 'It ended before it was through.'
	wait "$fuzzing" || failed 'Hostile requests' 'They ended before they were through.'
	cat "$VAR/fuzz-beside.log"
}

# A Lustrum of its own with the demo data: loaded once, and copied after that.
DEMO_OF=""
demo_stack() { # NAME PORT DATABASE
	stack "$@"
	web_stop
	db_drop "$3"
	rm -rf "$STACK_FILES"
	if [ -n "$DEMO_OF" ]; then
		db_sql "CREATE DATABASE $3 TEMPLATE $DEMO_OF OWNER lustrum_app"
		cp -a "$DEMO_FILES" "$STACK_FILES"
		return
	fi
	db_create "$3"
	warm_cache
	console doctrine:migrations:migrate --no-interaction --quiet --allow-no-migration
	load_demo
	if [ "$1" = browser1 ]; then DEMO_OF="$3" DEMO_FILES="$STACK_FILES"; fi
}
browser_demo() { demo_stack browser1 "$TEST_PORT" lustrum_browser_1; }

test_browser() {
	local addresses=() i
	[ -n "$DEMO_OF" ] || browser_demo
	for i in $(seq 2 "$BROWSER_WORKERS"); do demo_stack "browser$i" "$((TEST_PORT + i - 1))" "lustrum_browser_$i"; done
	for i in $(seq 1 "$BROWSER_WORKERS"); do
		stack "browser$i" "$((TEST_PORT + i - 1))" "lustrum_browser_$i"
		web_start
		addresses+=("http://127.0.0.1:$STACK_PORT")
	done
	step "Browser tests, in $BROWSER_WORKERS workers, each with a Lustrum of its own"
	local code=0
	rm -f "$VAR/browser.json"
	(cd web && LUSTRUM_URL="${addresses[*]}" LUSTRUM_PASSWORD="$(cat ../demo/password)" PLAYWRIGHT_JSON_OUTPUT_NAME="$VAR/browser.json" npx playwright test --reporter=list,json) >"$VAR/test.log" 2>&1 || code=$?
	tail -n $([ "$code" = 0 ] && echo 25 || echo 150) "$VAR/test.log"
	found playwright "$VAR/browser.json" 'Browser tests' "$code" || true
	for i in $(seq 1 "$BROWSER_WORKERS"); do
		stack "browser$i" "$((TEST_PORT + i - 1))" "lustrum_browser_$i"
		web_stop
	done
}

# Hostile requests to a Lustrum of its own with the demo data, and then every sheet of it; says which seed sends the same again.
test_fuzz() { # [SEED [SECONDS]]
	local seed="${1:-$RANDOM}" log="$VAR/fuzz.log"
	(
		rm -rf "$VAR/fuzz"
		demo_stack fuzz "$((TEST_PORT + BROWSER_WORKERS))" lustrum_fuzz
		web_start
		step "Hostile requests, seed $seed"
		local code=0
		php tests/fuzz/run.php "http://127.0.0.1:$STACK_PORT" "$(cat demo/password)" "$seed" "$VAR/fuzz" "${2:-100}" >"$log" 2>&1 || code=$?
		cat "$log"
		if [ "$code" = 0 ]; then
			passed 'Hostile requests'
		else
			failed "Hostile requests, seed $seed" "$(grep -m1 -E '^  [A-Z]+ /|rror' "$log" || tail -n 1 "$log")"
		fi
		web_stop
	)
}

# Each that failed by its name, and its first message.
say_results() {
	local good bad
	good="$(grep -c '^pass' "$RESULTS" || true)"
	bad="$(grep -c '^fail' "$RESULTS" || true)"
	awk -F '\t' '$1 == "fail" { printf "FAILED %s\n       %s\n", $2, $3 }' "$RESULTS"
	printf '%d passed, %d failed\n' "$good" "$bad"
	[ "$bad" = 0 ]
}

run_test() {
	. deploy/commands/heal.sh
	. deploy/commands/mutations.sh
	local part="${1:-all}"
	: >"$RESULTS"
	install_packages browser
	install_php_libraries
	install_node
	install_web_libraries
	ln -sfn ../../web/node_modules tests/browser/node_modules
	local was_running=yes
	db_running || was_running=no
	db_start
	if [ "$part" = all ] || [ "$part" = php ]; then part PHP test_php; fi
	if [ "$part" = all ]; then part 'web beside healing and hostile requests' test_web_heal_fuzz; fi
	if [ "$part" = web ]; then part web test_web; fi
	if [ "$part" = once ]; then part healing test_heal; fi
	if [ "$part" = heal ]; then part healing test_heal_rounds; fi
	if [ "$part" = fuzz ]; then part 'hostile requests' test_fuzz "${2:-}"; fi
	if [ "$part" = mutations ]; then part mutations test_mutations "${@:2}"; fi
	if [ "$part" = all ] || [ "$part" = browser ]; then
		build_web
		part browser test_browser
	fi
	if [ "$was_running" = no ]; then db_stop && supervisor_stop; fi
	printf 'Time by part: %s\n' "$(IFS=,; echo "${PARTS[*]}" | sed 's/,/, /g')"
	say_results
}
