# shellcheck shell=bash
run_stop() {
	local name
	for name in main browser bench; do
		stack "$name" 0 none
		if web_running; then step "Stopping the application ($name)"; fi
		web_stop
	done
	db_stop
}
