# shellcheck shell=bash
# Services under runit: each has a folder with what begins it, and whichever ends is begun again within a second or two.
# One runsvdir for each state looks after all of them, runs as whoever started it, and needs no systemd.
. "$ROOT/deploy/services/group.sh"
SERVICES="$RUN/service"
LOGS="$STATE/log"
export SVDIR="$SERVICES"

supervisor_runs() { marked_alive "$RUN/supervisor"; }

supervisor_start() {
	if supervisor_runs; then return 0; fi
	mkdir -p "$SERVICES" "$LOGS"
	supervisor_sweep
	# With nothing of whoever calls: what a service is told stands in its own folder.
	# shellcheck disable=SC2016
	env -i PATH=/usr/local/sbin:/usr/local/bin:/usr/sbin:/usr/bin:/sbin:/bin LANG=C.UTF-8 HOME=/nonexistent \
		setsid -f bash -c '. "$1"; mark $$ >"$2/supervisor"; exec runsvdir -P "$2/service"' \
		runsvdir "$ROOT/deploy/services/group.sh" "$RUN" </dev/null >/dev/null 2>&1
}

# Where folders of ours were thrown away while they were in use: whoever still stands in one ends, with what it looks after.
supervisor_sweep() {
	local proc at pid child
	for pid in $(pidof runsvdir runsv); do
		proc="/proc/$pid"
		case "$(cat "$proc/comm" 2>/dev/null)" in
			runsvdir)
				if tr '\0' '\n' <"$proc/cmdline" 2>/dev/null | grep -qxF "$SERVICES"; then kill -KILL "$pid" 2>/dev/null || true; fi
				;;
			runsv)
				at="$(readlink "$proc/cwd" 2>/dev/null || true)"
				[[ "$at" = "$SERVICES"/*' (deleted)' ]] || continue
				local groups=()
				for child in /proc/[0-9]*; do
					if stat_of "${child#/proc/}" && [ "${STAT[1]}" = "$pid" ]; then groups+=("${child#/proc/}"); fi
				done
				kill -KILL "$pid" 2>/dev/null || true
				# The first of each group is the child itself; PostgreSQL ends by INT, and takes all of its own along.
				for child in "${groups[@]}"; do
					mark "$child" >"$STATE/swept" || continue
					kill -INT "$child" 2>/dev/null || true
					wait_for 30 eval "! marked_alive '$STATE/swept'" || true
					group_empty "$STATE/swept"
				done
				;;
		esac
	done
}

# Ends the supervisor and whoever of it is left, once no service runs any more.
supervisor_stop() {
	local pid name
	if supervisor_runs; then
		read -r _ pid _ <"$RUN/supervisor"
		kill -HUP "$pid" 2>/dev/null || true
		wait_for 30 eval '! supervisor_runs' || kill -KILL "$pid" 2>/dev/null || true
	fi
	# Whoever looks after a service outlives a supervisor that was killed, and a folder that was thrown away.
	for name in $(services_all); do
		service_gone "$name" || sv -w 10 force-shutdown "$name" >/dev/null 2>&1 || true
	done
	supervisor_sweep
}

services_all() { find "$SERVICES" -mindepth 1 -maxdepth 1 -type d -name '[a-z]*' -printf '%f\n' 2>/dev/null | sort; }
service_up() { [ "$(sv status "$1" 2>/dev/null | cut -d: -f1)" = run ]; } # NAME
service_known() { sv status "$1" 2>/dev/null | grep -qE '^(run|down|finish):'; } # NAME
service_gone() { ! service_known "$1"; } # NAME

wait_for() { # TENTHS COMMAND…
	local i tenths="$1"
	shift
	for i in $(seq 1 "$tenths"); do
		if "$@"; then return 0; fi
		sleep 0.1
	done
	return 1
}

# Writes what begins a service; says whether anything of it is new.
service_write() { # NAME TEMPLATE [SIGNAL]
	local name="$1" at="$SERVICES/$1" making="$SERVICES/.$1" new=no
	rm -rf "$making"
	mkdir -p "$making/log" "$LOGS/$name"
	service_file "$2" "$making/run"
	service_file finish.sh "$making/finish"
	SERVICE_LOGS="$LOGS/$name" service_file log.sh "$making/log/run"
	cp deploy/services/log.config "$LOGS/$name/config"
	if [ -n "${3:-}" ]; then
		mkdir "$making/control"
		SIGNAL="$3" service_file signal.sh "$making/control/t"
	fi
	touch "$making/down"
	if [ -d "$at" ]; then
		local file
		for file in run finish log/run control/t; do
			[ -f "$making/$file" ] && ! cmp -s "$making/$file" "$at/$file" || continue
			mkdir -p "$at/${file%/*}" 2>/dev/null || true
			mv "$making/$file" "$at/$file"
			new=yes
		done
		rm -rf "$making"
	else
		mv "$making" "$at"
		new=yes
	fi
	[ "$new" = yes ]
}

service_file() { # TEMPLATE TARGET
	local as=""
	if is_root; then as="-u $([ "$2" = "$SERVICES/.db/run" ] && echo "$DB_USER" || echo "$APP_USER")"; fi
	AS="$as" fill "deploy/services/$1" "$2"
	chmod 755 "$2"
}

service_start() { # NAME
	supervisor_start
	rm -f "$SERVICES/$1/down"
	# A folder that is new is seen within five seconds.
	wait_for 80 service_known "$1" || die "the supervisor does not see the service $1; see $LOGS"
	sv up "$1" >/dev/null
}

# Down, and not up again by itself; whoever does not end when asked is ended.
service_stop() { # NAME
	[ -d "$SERVICES/$1" ] || return 0
	touch "$SERVICES/$1/down"
	service_known "$1" || return 0
	sv -w 10 force-stop "$1" >/dev/null 2>&1 || true
}

service_log() { tail -n "${2:-20}" "$LOGS/$1/current" 2>/dev/null || true; } # NAME [LINES]
