#!/bin/bash
# How a service is asked to end where it is not by TERM.
kill -@SIGNAL@ "$(cat ./supervise/pid)"
