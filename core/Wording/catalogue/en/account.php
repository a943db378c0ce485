<?php

declare(strict_types=1);

return [
    'sentence' => '{name}, you are signed in {n, plural, =1 {here and nowhere else} other {at # places}}.{others, select, yes { {days, plural, =0 {All of them were used today.} one {One of them was not used since yesterday; sign it out if it is not yours any more.} other {One of them was not used for # days; sign it out if it is not yours any more.}}} other {}}',
    'place' => '{kind, select, phone {A phone or tablet} computer {A computer} other {A program}}{here, select, yes {, this one} other {}}',
    'ends' => '{days, plural, =0 {ends today} one {ends in # day unless it is used} other {ends in # days unless it is used}}',
];
