<?php

declare(strict_types=1);

return [
    'use' => '{fit, select, fits {{letter} fits: {musts, plural, one {its one must is shown} other {all # musts are shown}}.} withChanges {{letter} does not fit as it is: {failed} is not met. Proposed against it, and tried by nobody: {answers}.} doesNot {{letter} does not fit: {failed} is not met, and nothing proposed answers it.} other {{musts, plural, =0 {No must is asked for this use, so nothing can be said of it.} other {{tried, select, yes {{letter} cannot be told yet: {shown, number} of {musts, plural, one {# must} other {# musts}} shown, none failed.} other {Nothing was tried yet: {musts, plural, one {# must} other {# musts}} to show.}}}}}}',
    'steps' => '{never, plural, =0 {Every step of use was gone through by a run} one {One step of use was never tried: {names}} other {# of {n, number} steps of use were never tried: {names}}}{built, select, yes {{here, plural, =0 {; none on {letter}} other {; # of {n, number} on {letter}}}} other {}}.',
    'step' => '{tried, select, here {tried on {letter}} elsewhere {not on this build; last on {letter}} other {never tried}}',
    'beliefs' => '{n, plural, one {One assumption} other {# assumptions}}{open, plural, =0 {, none still open} one {, # not settled} other {, # not settled}}{overturned, plural, =0 {} one {, # overturned} other {, # overturned}}.',
    'resting' => '{n, plural, one {One thing is only believed} other {# things are only believed}}: {what}.',
    'belief' => '{standing, select, upheld {upheld} overturned {overturned} checked {checked, not settled} other {only believed}}',
    'finding' => '{says, select, for {upheld: {what}} against {overturned: {what}} other {looked at, nothing follows: {what}}}',
    'run' => '{trial}, run {number} on {letter}',
    'did' => '{what, select, asked {asked for {n, plural, one {# requirement} other {# requirements}}} proposed {proposed {n, plural, one {# change} other {# changes}}} said {said {n, plural, one {# thing} other {# things}}} signed {signed {n, plural, one {# trial} other {# trials}} off} keeps {keeps {n, plural, one {# article} other {# articles}}} other {believes {n, plural, one {# thing} other {# things}}}}',
    'didNothing' => 'nothing asked, said or signed yet',
    'carrier' => 'A module of {device}, carried by {letters}.',
    'origin' => 'Began with {name}{known, select, yes { by {author}} other {}}{bound, select, yes {, on these terms: {terms}} other {}}.{altered, select, yes { Altered: {alterations}.} other {}}',
    'some' => '{names} and {n, number} more',
];
