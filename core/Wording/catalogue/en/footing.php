<?php

declare(strict_types=1);

return [
    'same' => 'Same footing: nothing recorded differs but what is compared.',
    'condition' => 'condition',
    'higher' => 'higher',
    'lower' => 'lower',
    'turn' => '{interval, select, yes {Below {low} {name} on {side} the second side would be {below}, above {high} {above}; between, nobody can say.}'
        .' other {Below {at} {name} on {side} the second side would be {below}, above it {above}.}}',
    'sentence' => '{footing, select, broken {Not on the same footing} other {Tilted footing}}: {whys}{more, plural, =0 {} other {; and # more}}.',
    'method' => 'Measured with another method ({a}, {b}).',
    'methodVersion' => 'The method was changed in between (version {a}, then {b}).',
    'instrumentUnit' => '{name} was read in {unitA}, then in {unitB}.',
    'instrument' => '{name} was read on another instrument ({a}, {b}).',
    'change' => '“{name}” was changed too, and bears on this.',
    'level' => '{name} was {a}, then {b}.',
    'levelUnknown' => '{name} was not recorded {side, select, both {on either side} earlier {on the earlier side} other {on the later side}}.',
    'levelHalfKnown' => '{name} was not recorded on {n} of the runs.',
    'several' => '{first} and {n, number} more',
    'lot' => 'Another lot of {name} ({a}, then {b}).',
    'lotUnknown' => 'The lot of {name} was not recorded on one side.',
    'rig' => 'Another rig ({a}, then {b}).',
    'operator' => 'Another pair of hands ({a}, then {b}).',
    'firmware' => 'Another firmware ({a}, then {b}).',
    'oneArticle' => 'One article stands for {side, select, both {each side} other {a side}} ({a}, then {b}): the difference may be the article’s.',
    'noCommonBlock' => 'No {name} is on both sides, so none is taken out.',
    'choice' => 'The runs of {letter} chose its variant among {n}: the best of many measures better than it is.',
    'usedArticle' => 'A used article against a fresh one: {name} had {runs, plural, one {# run} other {# runs}} behind it{failures, plural, =0 {} one {{runs, plural, one {, which failed} other {, with one failure}}} other {, with # failures}}.',
    'deviates' => '{serials} {articles, plural, one {is} other {are}} otherwise than the build: {name}.',
    'offMethod' => '{name} was “{is}” where the method holds “{intended}”, on {runs, plural, one {# run} other {# runs}} {side, select, earlier {of the earlier side} other {of the later side}}.',
    'otherArticle' => 'Another {name} took part ({a}, then {b}).',
    'state' => 'Tried in another state ({a}, then {b}).',
    'blocks' => 'Made in two blocks, {days, plural, one {# day} other {# days}} apart.',
    'singleRun' => 'A single run on {side, select, both {each side} other {one side}}.',
    'stoppedEarly' => '{n, plural, one {# run was stopped early} other {# runs were stopped early}}.',
];
