# shellcheck shell=bash
# Reads every picture, sound, clip and document against its hash: of the running workspace, or of a backup.
run_check() {
	[ $# -le 1 ] || die 'name one backup, or none: ./lustrum check [FILE]'
	db_start
	stack main "$PORT" lustrum
	if [ "${1:-}" = --sweep ]; then
		step 'Reading every file that the database names, and taking away what nobody does'
		console lustrum:check --sweep
		return
	fi
	if [ $# = 1 ]; then
		. deploy/commands/restore.sh
		restore_read "$1" "$STATE/restore"
		restore_forget "$STATE/restore"
		say "$1 can be put back with ./lustrum restore"
		return 0
	fi
	step 'Reading every file that the database names'
	console lustrum:check
}
