<?php

declare(strict_types=1);

return [
    'overCost' => '{cost} {currency} is {by} over the limit of {limit}.',
    'overHours' => '{hours} h is {by} h over the limit of {limit} h.',
    'overChanges' => '{n} changes at once; this team set itself at most {limit}.',
    'quoted' => '“{what}”',
    'entangled' => '{metric}: one build cannot tell {candidates} apart.',
    'noBaseline' => '{metric} was not measured on this build, so the effect has nothing to stand on.',
    'forecast' => '{metric} is {now} now ({n, plural, one {# run} other {# runs}}{drawn, select, yes {; {measured} was measured, drawn in, since its runs chose the variant} other {}}); expected {low} to {high}{meets, select, would {, all of it within the limit of {limit}} could {, part of it within the limit of {limit}} wouldNot {, none of it within the limit of {limit}} other {}}.',
    'unanswered' => '“{what}” has no answer yet{more, plural, =0 {} other { (and # more)}}. Put it in, let it wait, or drop it, with a reason.',
    'none' => 'No candidates yet. Propose what the next build could change; sums, limits and overlaps appear as you choose.',
    'decided' => 'Decided: build {next} followed {letter}.',
    'record' => '{kind, select, contenders {{by} decided on {letter} that {chosen, plural, one {# contender goes} other {# contenders go}} on side by side.} tryMore {{by} decided on {letter} to change nothing and to try more.} other {{by} decided build {next} after {letter}: {n, plural, one {# change} other {# changes}}, {cost} {currency}, {hours} h.}}',
    'sentence' => '{chosen, plural, =0 {{n, plural, one {# candidate} other {# candidates}}, none chosen yet} one {# of {n, number} candidates goes in: {cost} {currency} and {hours} h} other {# of {n, number} candidates go in: {cost} {currency} and {hours} h}}{over, plural, =0 {} one {, over one limit} other {, over # limits}}{within, select, yes {, within the limits} other {}}{entangled, plural, =0 {} one {; effects on one metric cannot be told apart} other {; effects on # metrics cannot be told apart}}. {undecided, plural, =0 {{decidable, select, yes {Every candidate has an answer: you can decide.} other {Every candidate has an answer, and none goes in: there is no next build to decide on.}}} other {# still to decide.}}',
    'untried' => 'Nobody has tried build {letter} yet: what is decided now rests on no run of it.',
    'dangers' => 'Build {letter} has {n, plural, one {an open dangerous failure} other {# open dangerous failures}}: {modes}.',
    'oddOne' => '“{text}”{on, select, yes { (run {number, number} of {trial})} other {}}',
    'odd' => 'Odd, and nobody has said why: {said}{more, plural, =0 {} other {, and # more}}. What rests on these runs rests on that.',
    'waits' => '{metric} of run {number} of {trial}',
    'waiting' => '{n, plural, one {A reading waits for its unit and is} other {# readings wait for their unit and are}} used for nothing until somebody says it: {named}{more, plural, =0 {} other { and # more}}.',
    'answering' => '{candidates} {n, plural, =2 {both} other {all}} answer “{mode}”: put into one build, nothing will tell which of them ended it.',
];
