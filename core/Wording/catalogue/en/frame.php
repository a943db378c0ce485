<?php

declare(strict_types=1);

return [
    'device' => '{builds, plural, =0 {Nothing built yet.} other {{builds, plural, one {# build} other {# builds}}, {runs, plural, one {# run} other {# runs}}; build {letter} is the newest.}}',
    'waits' => '{station, select, try {{n} unfinished} find {{n} without a cause} other {{n} to decide}}',
    'brief' => '{n, plural, =0 {There are no requirements yet. Write the first one, and every run will be weighed against it.} other {{n, plural, one {# requirement} other {# requirements}}, {musts, plural, =0 {none of them a must} one {# of them a must} other {# of them musts}}{every, plural, =0 {} one {; # speaks of every article, which takes more runs than a mean} other {; # speak of every article, which takes more runs than a mean}}. {unmeasured, select, yes {No method measures {metrics} yet.} other {Each has a method that measures it{drawn, select, yes {, or is worked out from the build} other {}}.}}}}',
    'importing' => '{taken, number} of {n, plural, one {# record} other {# records}}',
    'imported' => '{name} is in: {n, plural, one {# record} other {# records}}.',
    'limits' => '{gates, select, formal {Formal stages} other {Open loop, no gates}} · shown at {percent} % confidence{costs, select, yes { · a next build may cost {cost} {currency}} other {}}{takes, select, yes { · and take {hours} h} other {}}{few, select, yes { · at most {changes} changes at once} other {}}',
    'people' => '{workspace} has {n, plural, one {# person} other {# people}}, {writers, plural, =0 {none of whom can write} one {# of whom can write} other {# of whom can write}}.',
    'building' => 'being built',
];
