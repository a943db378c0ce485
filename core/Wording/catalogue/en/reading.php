<?php

declare(strict_types=1);

return [
    'beyond' => '{value} is {upper, select, yes {over the greatest} other {under the least}} value that the method holds plausible ({limit}).',
    'fact' => '{metric}: {kind, select, atLeast {at least } atMost {at most } other {}}{value}',
    'waits' => 'Waits for the channels that it is worked out from.',
    'together' => '{isTry, select, yes {{n, plural, one {# reading} other {# readings}} would be amended; nothing is changed yet.} other {{n, plural, one {# reading was} other {# readings were}} amended; the first values stay beside them.}}',
    'undecided' => 'Kept, and used for nothing until somebody decides: {choices}.',
    'said' => '{bound, select, atLeast {Taken as a bound: at least {value}.} atMost {Taken as a bound: at most {value}.} other {Taken as {value}{sure, select, yes {, with a standard uncertainty of {u}} other {}}.}}',
    'condition' => '{name} {known, select, yes {{text}} other {unknown}}',
    'unsettled' => '{metric} was {said}, so {least, select, yes {at least} other {at most}} that: read it again once it has come to rest, and amend it.',
];
