#!/bin/bash
. "@ROOT@/deploy/services/begin.sh"
export LUSTRUM_CACHE="@CACHE@"
# The classes of the application are loaded once, into the master: a request begins with them in place.
exec chpst -P "@FPM@" --nodaemonize @PRELOAD@ --fpm-config "@RUN@/php-fpm.conf" -c "@ROOT@/deploy/php.ini"
