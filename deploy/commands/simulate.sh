# shellcheck shell=bash
# Simulated workshops through the functions that the sheets call: how often each kind of sentence is false. No test waits for it.
run_simulate() {
	install_packages
	install_php_libraries
	local code=0 page more
	more="$(mktemp)"
	step 'Simulating workshops, some twenty minutes'
	# The second page goes beside the first, and is shown after it.
	php deploy/simulate/simulate.php more "$@" >"$more" &
	page=$!
	printf '\nWhat was asked\n'
	php deploy/simulate/simulate.php rows "$@" || code=1
	wait "$page" || code=1
	printf '\nAll other sentences, and other sizes\n'
	cat "$more"
	rm -f "$more"
	return "$code"
}
