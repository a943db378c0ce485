# shellcheck shell=bash
# Processes known again, and a service's process group emptied. A number alone may have become somebody else's: it is kept
# with the boot that it is of and the moment at which its process began.

boot() { cat /proc/sys/kernel/random/boot_id; }

# The fields of a process behind its name, which may hold anything: state, parent, group, … (proc(5), from field 3 on).
stat_of() { # PID; into STAT
	local line
	read -r line 2>/dev/null <"/proc/$1/stat" || return 1
	read -ra STAT <<<"${line##*) }"
}

began() { stat_of "$1" && echo "${STAT[19]}"; }

mark() { echo "$(boot) $1 $(began "$1")"; } # PID

# Is the process that a file names still there?
marked_alive() { # FILE
	local boot pid since
	read -r boot pid since 2>/dev/null <"$1" || return 1
	[ "$boot" = "$(boot)" ] && stat_of "$pid" && [ "${STAT[19]}" = "$since" ] && [ "${STAT[0]}" != Z ]
}

# Who of a group is still there.
group_of() { # GROUP
	local proc
	for proc in /proc/[0-9]*; do
		if stat_of "${proc#/proc/}" && [ "${STAT[2]}" = "$1" ] && [ "${STAT[0]}" != Z ]; then echo "${proc#/proc/}"; fi
	done
}

# Ends whoever is left of the group whose first process a file names.
group_empty() { # FILE
	local boot pid since signal i
	read -r boot pid since 2>/dev/null <"$1" || return 0
	[ "$boot" = "$(boot)" ] || return 0
	# The number has gone to somebody else meanwhile, so nobody of the group is left: a number is not given anew before.
	if stat_of "$pid" && [ "${STAT[19]}" != "$since" ]; then return 0; fi
	for signal in TERM KILL; do
		for i in 1 2 3 4 5 6 7 8 9 10; do
			[ -n "$(group_of "$pid")" ] || return 0
			[ "$i" != 1 ] || kill -"$signal" -- "-$pid" 2>/dev/null || true
			sleep 0.05
		done
	done
}
