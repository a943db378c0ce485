<?php

declare(strict_types=1);

return [
    'result' => '{metric}{at, select, yes { at {level}} other {}} {figure}{bounds, plural, =0 {} one {, and # bound} other {, and # bounds}}',
    'onlyBounds' => '{metric}{at, select, yes { at {level}} other {}}: only bounds ({bounds})',
    'share' => 'held {held} of {n}{at, select, yes { at {level}} other {}}; it may still fail in {low} to {high} % of tries',
    'soFar' => 'So far, before its planned number of runs:',
    'rated' => 'What was rated is shown when the trial is at its end, so that nobody who is about to rate knows it.',
    'aside' => '{n, plural, one {# run} other {# runs}} set aside: {why}',
    'count' => '{planned, plural, =0 {{runs, plural, one {# run} other {# runs}}} other {{runs, number} of {planned, plural, one {# run} other {# runs}}}}'
        .'{until, select, first {, the first stage until ± {width}} open {; three values at each level tell how many more it takes until ± {width}}'
        .' told {, until ± {width}} other {}}{beside}{first, select, yes {, stopped at first success} other {}}',
    'untried' => 'Build {letter} has not been tried. Start with the cheapest check that could prove it wrong.',
    'ended' => '{outcome, select, held {{n} held} failed {{n} failed} other {{n} stopped early}}',
    'part' => '{for, select, wear {{n} that only wore it} practice {{n} to practise} aside {{n} set aside} lost {{n} lost in handling} void {{n} void} other {{n} unfinished}}',
    'sentence' => 'Build {letter}: {runs, plural, one {# run} other {# runs}} in {trials, plural, one {# trial} other {# trials}}{any, select, yes {, {parts}} other {}}.',
    'run' => 'Run {number} of {trial}, on build {letter}{with, select, yes { with {serial}} other {}}{state, select, mockup {, a mock-up} model {, a model} other {}}: {outcome, select, held {held{bound, select, yes {, and stopped before the event came, so its value is a bound} other {}}} failed {failed, {reason}} stoppedEarly {stopped early{bound, select, yes {, so its value is a bound} other {}}} lost {lost in handling; it says nothing of the design} void {void, {reason}} other {not finished}}.',
    'outcome' => '{outcome, select, held {held} failed {failed} stoppedEarly {stopped early} lost {lost in handling} void {void} other {not finished}}',
    'enough' => '{reached, select, yes {Enough: {planned, plural, one {the one planned run has} other {all # planned runs have}} ended.} other {{ended, plural, =0 {None} other {#}} of {planned, plural, one {# planned run has} other {# planned runs have}} ended{last, select, yes {; with this one it is enough} other {}}.}}',
];
