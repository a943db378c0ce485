<?php

declare(strict_types=1);

return [
    'title' => '{kind, select, arm {by variant} article {by article} lot {by lot of {name}} firmware {by firmware} state {by what was changed between runs} other {by {name}}}',
    'what' => '{kind, select, arm {variant} article {article} lot {lot of {name}} firmware {firmware} state {what was changed} other {{name}}}',
    'asBuilt' => 'as its build has it',
    'confounded' => '{by} and {what} cannot be told apart: each had its own. {n, plural, one {# more run} other {# more runs}} would: {runs}{more, plural, =0 {} other { and # more}}.',
    'hangs' => '{metric} {by}: which is more hangs on the level, in both directions, so no single number is given.',
    'turning' => '{a} and {b} stand the other way round{known, select, yes { at {at}{more, plural, =0 {} other { and # more}}} other { at some level}}.',
    'run' => '{side} with {value}',
    'through' => '{a} and {b} never met: they are compared through {via}.',
    'joining' => 'Nothing joins all of them: one run of {side}{at, select, yes { at {level}} other {}} would.',
    'multiply' => 'Effects on it multiply: each stands against the typical one, level by level, in per cent.',
    'noValue' => 'no value alike',
    'onlyBounds' => '{metric} {by}: {n, plural, other {# sides}}, and too few without a bound among their runs to put into one fit.',
    'bounded' => '{side} stands apart, {bounds, plural, one {a bound} other {# bounds}} among its {n, plural, one {one run} other {# runs}}: {parts}.',
    'beside' => '{as, select, higher {above {sides}} lower {below {sides}} other {not told apart from {sides}}}',
    'noFit' => 'stands apart, with bounds',
    'none' => '{metric} {by}: {pairs, plural, one {the pair} other {none of the # pairs}} {pairs, plural, one {cannot be told apart} other {can be told apart}} yet{articles, select, yes {, and one article stands for a side} other {}}.',
    'sentence' => '{metric} {by}: {first} leads{bounded, select, yes { those without a bound} other {}}{counted, select, yes {, the best of {n} tried, of {planned} planned{lost, plural, =0 {} other {, # lost}}{out, plural, =0 {} other {, # taken out}}{left, plural, =0 {} other {, # not tried}}} other {}}{rivals, plural, =0 {, and is told apart from all {bounded, select, yes {of these} other {others}}} other {, and cannot be told apart from {named}{more, plural, =0 {} other { and # more}}}}; {told, number} of {pairs, plural, one {# pair} other {# pairs}} told{articles, select, yes {. One article stands for a side: what is told is of the articles} other {}}.',
];
