<?php

declare(strict_types=1);

return [
    'standing' => '{standing, select, fixUntried {{letter} carries a fix that nobody has tried where it failed.} closed {Closed by {letter}: {n, plural, one {# run} other {# runs}} of the same kind held.} cameBack {Came back on {letter}, {n, plural, one {once} other {# times}}.} other {Open: no later build carries a fix.}}',
    'stillThere' => 'Still there on {letter}.',
    'lastSeen' => 'Last seen on {letter}; {n, plural, =0 {nobody has tried it since} one {not in # run of the same kind since} other {not in # runs of the same kind since}}.',
    'none' => 'No failures yet. When something breaks, this station shows where failures gather and where they vanish.',
    'noneHere' => 'Build {letter} has no recorded failure. The most frequent one on this device is “{mode}”. {where}',
    'sentence' => 'Build {letter}: {n, plural, one {# failure} other {# failures}} in {modes, plural, one {# mode} other {# modes}}, most often “{most}”{back, select, yes {. “{mode}”: {standing}} other {}}. {without, plural, =0 {Each has a suspected cause.} one {# has no suspected cause yet.} other {# have no suspected cause yet.}}',
    'choice' => '{mode}{placed, select, yes {, {place}} other {}}',
    'run' => 'run {number} of {trial}',
];
