<?php

declare(strict_types=1);

return [
    'part' => '{what} ({percent} %)',
    'parts' => 'Its uncertainty comes from {parts}.',
    'scored' => 'It read {read}; {said} was worked out before. {any, select, yes {{inside, select, yes {Inside its interval {interval}, {off} half-widths {side} the middle.} other {Outside its interval {interval}: {off} half-widths {side} the middle.}}} other {It is {differs} {side} that; no interval was given.}}',
    'sheet' => '{sums} sums of the bench. {kept, plural, =0 {None is kept on this device.} one {# is kept on this device{changed, plural, =0 {.} other {, and what it rests on has changed.}}} other {# are kept on this device{changed, plural, =0 {.} one {; what # of them rests on has changed.} other {; what # of them rest on has changed.}}}}',
    'inside' => '{read, plural, one {The forecast that was read lies {inside, plural, =0 {outside} other {inside}} its interval.} other {Of # forecasts that were read, {inside, plural, =0 {none lies inside its interval} one {# lies inside its interval} other {# lie inside their intervals}}.}}',
    'run' => '{trial}, run {number}{of, select, yes {: {metric}} other {}}',
    'open' => '{what}: {answer}.',
    'solved' => 'With {input} {value} it comes to {wanted}.',
    'bought' => 'The nearest to be bought is {nearest}: that gives {gives}.',
];
