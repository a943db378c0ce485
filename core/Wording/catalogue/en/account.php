<?php

declare(strict_types=1);

return [
    'sentence' => '{name}, you are signed in {n, plural, =1 {here and nowhere else} other {at # places}}.{others, select, yes { {days, plural, =0 {All of them were used today.} one {One of them was not used since yesterday; sign it out if it is not yours any more.} other {One of them was not used for # days; sign it out if it is not yours any more.}}} other {}}',
    'author' => '{said, select, yes {said to be {name}, brought in by {by}} other {brought in by {by}}}',
    'passwordChanged' => 'Your password was changed at another place, so you are signed out here. Sign in with the new one; if it was not you, tell a lead now. What you typed is kept.',
    'place' => '{kind, select, phone {A phone or tablet} computer {A computer} other {A program}}{here, select, yes {, this one} other {}}',
    'ends' => '{days, plural, =0 {ends today} one {ends in # day unless it is used} other {ends in # days unless it is used}}',
];
