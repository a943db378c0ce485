<?php

declare(strict_types=1);

return [
    'standing' => '{standing, select, fixUntried {{letter} carries a fix that nobody has tried where it failed.} closed {Closed by {letter}: {n, plural, one {# run} other {# runs}} of the same kind held.} cameBack {Came back on {letter}, {n, plural, one {once} other {# times}}.} other {Open: no later build carries a fix.}}',
    'closing' => '{state, select,'
        .' closed {Closed by {by}: {held, plural, one {it held once} other {it held # times}} at {needs} or harder;'
        .' an unfixed design would have come through with a chance of {percent} %.}'
        .' holding {Holds so far ({held, number} of {needed, number}) at {needs} or harder{came, select, yes {, since it came back on {by}} other {}}.}'
        .' reopened {Open again: it came back on {by}. It takes {needed, plural, one {# hold} other {# holds}} at {needs} or harder.}'
        .' other {Open{came, select, yes {: it came back on {by}} other {}}. It takes {needed, plural, one {# hold} other {# holds}}'
        .' at {needs} or harder.}}{milder, plural, =0 {} one { # hold was at something milder.} other { # holds were at something milder.}}',
    'stillThere' => 'Still there on {letter}.',
    'lastSeen' => 'Last seen on {letter}; {n, plural, =0 {nobody has tried it since} one {not in # run of the same kind since} other {not in # runs of the same kind since}}.',
    'none' => 'No failures yet. When something breaks, this station shows where failures gather and where they vanish.',
    'noneHere' => 'Build {letter} has no recorded failure. The most frequent one on this device is “{mode}”. {where}',
    'sentence' => 'Build {letter}: {n, plural, one {# failure} other {# failures}} in {modes, plural, one {# mode} other {# modes}}, most often “{most}”{back, select, yes {. “{mode}”: {standing}} other {}}. {without, plural, =0 {Each has a suspected cause.} one {# has no suspected cause yet.} other {# have no suspected cause yet.}}',
    'choice' => '{mode}{placed, select, yes {, {place}} other {}}',
    'run' => 'run {number} of {trial}',
];
