<?php

declare(strict_types=1);

return [
    'result' => '{metric}{states, plural, =1 {} other {: # states, the last}}{at, select, yes {{states, plural, =1 { at} other {,}} {level}} other {}} {figure}{bounds, plural, =0 {} one {, and # bound} other {, and # bounds}}',
    'onlyBounds' => '{metric}{at, select, yes { at {level}} other {}}: only bounds ({bounds})',
    'share' => '{named, select, yes {{metric}: } other {}}{states, plural, =1 {} other {# states, {fell} failed and {stood} held; the last }}held {held} of {n}{at, select, yes { at {level}} other {}}; it may still fail in {low} to {high} % of tries',
    'soFar' => 'So far, before its planned number of runs:',
    'rated' => 'What was rated is shown when the trial is at its end, so that nobody who is about to rate knows it.',
    'aside' => '{n, plural, one {# run} other {# runs}} set aside: {why}',
    'count' => '{planned, plural, =0 {{runs, plural, one {# run} other {# runs}}} other {{runs, number} of {planned, plural, one {# run} other {# runs}}{more, plural, =0 {} other {, and # more}}}}'
        .'{until, select, first {, the first stage until ± {width}} open {; three values at each level tell how many more it takes until ± {width}}'
        .' told {, until ± {width}} other {}}{beside}{first, select, yes {, stopped at first success} other {}}',
    'untried' => 'Build {letter} has not been tried. Start with the cheapest check that could prove it wrong.',
    'countsFor' => '{for, select, result {result} wear {wear} practice {practice} aside {set aside} lost {lost} void {void} rig {rig} other {not ended}}',
    'ended' => '{outcome, select, held {{n} held} failed {{n} failed} other {{n} stopped early}}',
    'part' => '{for, select, wear {{n} that only wore it} practice {{n} to practise} aside {{n} set aside} lost {{n} lost in handling} void {{n} void} other {{n} unfinished}}',
    'sentence' => 'Build {letter}: {runs, plural, one {# run} other {# runs}} in {trials, plural, one {# trial} other {# trials}}{any, select, yes {, {parts}} other {}}.',
    'run' => 'Run {number} of {trial}, on build {letter}{with, select, yes { with {serial}} other {}}{state, select, mockup {, a mock-up} model {, a model} other {}}: {outcome, select, held {held{bound, select, yes {, and stopped before the event came, so its value is a bound} other {}}} failed {failed, {reason}} stoppedEarly {stopped early{bound, select, yes {, so its value is a bound} other {}}} lost {lost in handling; it says nothing of the design} void {void, {reason}} other {not finished}}.',
    'outcome' => '{outcome, select, held {held} failed {failed} stoppedEarly {stopped early} lost {lost in handling} void {void} other {not finished}}',
    'enough' => '{reached, select, yes {Enough: {planned, plural, one {the one planned run has} other {all # planned runs have}} ended.} other {{ended, plural, =0 {None} other {#}} of {planned, plural, one {# planned run has} other {# planned runs have}} ended{last, select, yes {; with this one it is enough} other {}}.}}',
];
