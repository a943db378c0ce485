#!/bin/bash
# Does what waits in one line; gives up its memory every hour and begins anew.
. "@ROOT@/deploy/services/begin.sh"
cd "@ROOT@" || exit 1
set -a
. "@RUN@/app.env"
set +a
exec chpst -P @AS@ php -d memory_limit=256M bin/console messenger:consume @QUEUE@ --time-limit=3600 --memory-limit=200M --keepalive --quiet
