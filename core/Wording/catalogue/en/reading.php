<?php

declare(strict_types=1);

return [
    'beyond' => '{value} is {upper, select, yes {over the greatest} other {under the least}} value that the method holds plausible ({limit}).',
    'fact' => '{metric}: {kind, select, atLeast {at least } atMost {at most } other {}}{value}',
    'waits' => 'Waits for the channels that it is worked out from.',
    'condition' => '{name} {known, select, yes {{text}} other {unknown}}',
];
