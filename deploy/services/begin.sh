# shellcheck shell=bash
# What a service does first, in its own folder: whoever is left of it ends, and its group is noted.
exec 2>&1
. "${BASH_SOURCE[0]%/*}/group.sh"
group_empty ./group
mark $$ >./group
umask 022
