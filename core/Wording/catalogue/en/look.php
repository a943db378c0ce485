<?php

declare(strict_types=1);

return [
    'soFar' => '{known, select, yes {So far {ended, number} of {planned, number}:} other {So far, {ended, plural, one {# run} other {# runs}}:}}',
    'before' => '{known, select, yes {So far {ended, number} of {planned, plural, one {# run that was} other {# runs that were}} planned: it leans at best until then.} other {So far: nobody said how many runs it takes, or closed the trial.}}',
    'again' => 'Looked at {looks, plural, other {# times}} with new runs: judged at {most, select, yes {more than } other {}}{percent} %.',
    'computed' => 'By calculation: it stands beside results, and is no run.',
];
