#!/bin/bash
# Behind a service that has ended, however it did: nobody of its group is left.
. "@ROOT@/deploy/services/group.sh"
group_empty ./group
