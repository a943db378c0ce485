<?php

declare(strict_types=1);

return [
    'sentence' => '{what}: from {from} to {to} in {time}, {n, plural, one {# value} other {# values}}.',
    'mark' => '{kind, select, first {First at {value}} last {Last at {value}} peak {Peak} lowest {Lowest} other {Mean{between, select, yes { between {from} and {to}} other {}}}}{known, select, yes {: {found}} other {: never in this course}}',
    'fit' => 'It goes towards {end}, two thirds of the way in {tau}; {off} off on average.',
    'standard' => 'From {from} to {to}, going towards {around}: {time}{ends, select, none {} low {, at least {low} ({confidence} %)} other { [{low} to {high}, {confidence} %]}}, by its own rate.',
    'standardOrigin' => 'From the rate of the course of {what}, for a start at {from}, going towards {around}',
    'tally' => '{name}: {count, plural, one {once} =2 {twice} other {# times}}{again, select, yes {, {every} apart on average} other {}}{long, select, yes {; {held} in all{whole, select, yes {, {share} of the run} other {}}} other {}}{soFar, select, yes {, so far} other {}}.',
    'tallyOrigin' => 'Counted from the marks of “{name}”',
    'origin' => 'From the course of {what}',
];
