<?php

declare(strict_types=1);

return [
    'asMeant' => '{name}: {found}{meant, select, yes {, as it should be} other {}}.',
    'off' => '{name} was found at {found}; it should be {intended}.',
    'notKnown' => '{name}: somebody looked, and could not say.',
    'stands' => '{name}: {was}, as found on run {run}; nothing has happened to {serial} since.',
    'standsOff' => '{name} was left at {was} on run {run}; it should be {intended}.',
    'lapsed' => '{name} was {was} on run {run}. Since then {serial} was {how}{said, select, yes { ({note})} other {}}: look again.',
    'never' => '{name}: nobody has looked at it on {serial} yet.',
    'moved' => 'moved',
    'transported' => 'transported',
    'reassembled' => 'taken apart and put together',
    'swapped' => 'given another part',
    'dropped' => 'dropped',
    'thisArticle' => 'this article',
    'nothing' => 'Nothing is adjusted in this method.',
    'ready' => '{n, plural, one {What is adjusted stands as it should.} other {All # settings stand as they should.}}',
    'isOff' => '{n, plural, one {{names} is not as it should be} other {{names} are not as they should be}}: put it right, or this run stands beside the others.',
    'cannotTell' => 'Nobody can tell how {n, plural, one {{names} stands} other {{names} stand}}.',
    'asked' => 'Before you start, look at {names}{stand, plural, =0 {} one {; one other setting stands as it was found} other {; # others stand as they were found}}.',
    'tare' => 'Set {names} to nought first.',
    'outside' => 'A surprise: {what} is {read}, and {forecast} was forecast.',
    'failedWhatHeld' => 'A surprise: the {n, plural, one {run} other {# runs}} before it held, as hard.',
    'look' => 'Look at this before you blame the design: {what}',
    'noMismatch' => 'The rig check shows nothing out of place, so a cause in the design is next to look for.',
];
