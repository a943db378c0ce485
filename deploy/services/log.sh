#!/bin/bash
# What a service says, with the time, a megabyte at a time and five of them (deploy/services/log.config).
exec svlogd -tt "@LOGS@"
