<?php

declare(strict_types=1);

return [
    'takes' => '{n, plural, one {# run} other {# runs}}, about {time}{left, plural, =0 {} one {; # cell is left out before it is tried} other {; # cells are left out before they are tried}}.',
    'finds' => '{metric}: {one, select, yes {one run a side finds a difference of about {byOne}, {n, number} find {difference}} other {with {n, plural, one {# run} other {# runs}} a side it finds a difference of about {difference}}}, four times out of five; the scatter itself is known to ± {doubt} %.',
    'findsNothing' => '{metric}: {n, plural, one {one run a side tells no difference from scatter} other {nobody knows the scatter of such runs yet, so nobody can say what # runs a side will find}}.',
    'proves' => '{metric}: {n, plural, one {one run that holds} other {# that all hold}} on a side could still fail up to {percent} % of the time.',
    'oneShot' => 'One shot a cell: quick, and drawn as thin, with no interval.',
    'asGiven' => 'In the order given: warmth, wear and hands run along with the levels. By chance they would not.',
    'shuffled' => 'By chance over all: spreads what drifts, and costs {changes, plural, one {# change} other {# changes}} of level.',
    'blocks' => 'By chance within blocks that hold every level once: another rig or day hits all alike.',
    'climbing' => 'Rung by rung on one article: damage adds up on the way, so that the last rung is harder than it says. A fresh article a rung would not.',
    'staircase' => 'Up after a hold, down after a failure: few runs find the level at which half give way, each has to be told before the next, and little is learnt of levels far from it.',
    'together' => 'There is one article of {arms}: what the article is and what the variant is cannot be told apart. {n, plural, one {A second article of it} other {A second article of each}} would.',
    'usesUp' => 'It uses up {text}.',
    'search' => '{name}: {reason, select, end {{n, plural, =0 {nothing tried yet} one {# run so far} other {# runs so far}}; try {value} next, an end that nobody tried.} middle {too low at {low}, too high at {high}; try {value} next, the middle.} good {good at {value}{bracketed, select, yes {; too low at {low}, too high at {high}} other {}}.} beyond {from {from} to {to} there is none that is good: even the end is not enough.} exhausted {too low at {low}, too high at {high}, and no setting between: none of them is good.} other {what was too low does not lie below what was good or too high: one of these runs stood at something else.}}',
    'widen' => 'Widen {name} beyond {from} to {to}: no setting in that range was good',
    'stands' => '{known, select, yes {{text}} other {run {number, number}}}{stands, select, low {, too low} high {, too high} good {, good} other {}}',
    'progress' => '{tried, number} of {planned, plural, one {# run} other {# runs}} tried{lost, plural, =0 {} other {, # lost in handling}}{aside, plural, =0 {} other {, # set aside}}{out, plural, =0 {} one {, # cell left out before it was tried} other {, # cells left out before they were tried}}{beside, plural, =0 {} one {, # run beside the plan} other {, # runs beside the plan}}{left, plural, =0 {: it is done.} other {; {time} to go.}}',
    'position' => '{any, select, yes {{cell}{n, plural, one {} other {, {k, number} of # there}} · } other {}}{i, number} of {all, plural, one {# planned run} other {# planned runs}}',
    'ready' => '{name}{any, select, yes { at {next}} other {}}{left, plural, =0 {: nobody said how many} one {: one run and it is done} other {: # runs are left}}{must, select, yes {; a must rests on it} other {}}{failed, select, yes {; {modes} failed there and {many, select, yes {are} other {is}} not closed} other {}}.',
    'waits' => 'It waits for {what}.',
    'over' => 'its planned time is over',
    'rest' => '{name}, the rest',
    'doneIn' => 'done in {name}',
    'favoured' => 'Said before the first result: {who}.',
    'favours' => '{who} favours {what}',
    'entangled' => '{names} change together over these variants, so nothing of this plan tells which of them did it. {n, plural, =0 {} one {One more variant would: {further}.} other {# more variants would: {further}.}}',
];
