# shellcheck shell=bash
# Each stack from the front to the back, the database last, then whoever looked after them.
run_stop() {
	local name
	if [ -d "$SERVICES" ]; then
		for name in $(services_all | sed -n 's/-nginx$//p'); do
			stack "$name" 0 none
			if web_running; then step "Stopping the application ($name)"; fi
			web_stop
		done
	fi
	db_stop
	supervisor_stop
}
