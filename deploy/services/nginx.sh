#!/bin/bash
. "@ROOT@/deploy/services/begin.sh"
exec chpst -P "@NGINX@" -p "@RUN@" -c "@RUN@/nginx.conf" -g 'daemon off;'
