<?php

declare(strict_types=1);

return [
    'sentence' => '{what}: from {from} to {to} in {time}, {n, plural, one {# value} other {# values}}.',
    'mark' => '{kind, select, first {First at {value}} last {Last at {value}} peak {Peak} lowest {Lowest} other {Mean{between, select, yes { between {from} and {to}} other {}}}}{known, select, yes {: {found}} other {: never in this course}}',
    'fit' => 'It goes towards {end}, two thirds of the way in {tau}; {off} off on average.',
    'origin' => 'From the course of {what}',
];
