<?php

declare(strict_types=1);

return [
    'first' => 'Build {letter} is the first. Log what it is made of; the next build will be measured against it.',
    'firstOfArms' => 'Build {letter} is the first.',
    'armsAlone' => 'Build {letter} differs from {parent} by its variants.',
    'arms' => '{n, plural, one {It has one variant} other {It has # variants}}: {made, number} made, {tried, number} tried{out, plural, =0 {} other {, # taken out before}}{lost, plural, =0 {} other {, # lost in handling}}{isChosen, select, yes {; “{chosen}” was chosen} other {; none is chosen yet}}.',
    'sentence' => 'Build {letter} differs from {parent} by {n, plural, =0 {nothing that anybody wrote down} one {one change} other {# changes}}{looked, select, all {; all have a verdict} nobody {; nobody has looked at what came of {n, plural, one {it} other {any of them}}} some {; nobody has looked at {unjudged} of them} other {}}{open, plural, =0 {} one {; what came of # cannot be told yet} other {; what came of # cannot be told yet}}{costs, select, yes {. Its parts cost {amount} {currency} {less, select, yes {less} other {more}}} other {}}{articles, plural, =0 {. No article has been built yet} other {}}.',
    'unclear' => '{serial} is otherwise in {name}{any, select, yes { (“{said}”)} other {}}: is that as on {parent}, or as on {letter}? Until its deviation says “old” or what it is, it carries no fix in it.',
    'answers' => 'What was changed after it is meant to end “{mode}” (run {run})',
    'chosen' => '“{variant}” was chosen{known, select, yes {; {written} is written down} other {}}',
    'past' => '{fresh, select, yes {fresh} other {{runs, plural, one {# run} other {# runs}}{failures, plural, =0 {} other {, # failed}}{lost, select, yes {, lost in handling} other {}}}}',
    'material' => 'material was {named, select, yes {{material}} other {not named}}',
    'quantity' => 'was {quantity}',
    'cost' => 'cost was {cost}',
    'costAgainst' => '{amount} against {parent}',
    'gone' => 'no longer there',
    'otherKind' => 'another kind of quantity',
    'filled' => '{filled, select, history {What it was made with was filled in from the history of its method.} other {What it was made with was filled in from the method and the build as they are now; it may have been different.}}',
    'corrected' => 'Corrected afterwards by {by}: {what} was always so{runs, plural, =0 {} one {, which # run took over} other {, which # runs took over}}. {reason}',
    'arm' => '{out, select, yes {Eliminated before it was tried: {why}. } other {}}{planned, number} planned, {made, number} made, {tried, number} tried{lost, plural, =0 {} other {, # lost in handling}}.',
    'unexplained' => '{what}: changed, nobody said why.',
    'unseen' => '“{what}”: nothing in the build shows this change.',
    'followsNoMore' => 'It keeps what it was: {why}.',
    'gathered' => 'As {serial} was changed between runs.',
    'changedTo' => '{name} {value}{known, select, yes { instead of {was}} other {}}',
    'typedFirmware' => 'Firmware {typed} was typed on this run; {letter} has {known, select, yes {{was}} other {none}}.',
];
