<?php

declare(strict_types=1);

return [
    'sentence' => 'Build {letter}: {trials, plural, =0 {no trial is open, so there is nothing to run in the field} one {# open trial} other {# open trials}}{trials, plural, =0 {} other { with {articles, plural, =0 {no article that is here} one {# article} other {# articles}}}}.',
    'agrees' => 'It cannot be started before {named, select, yes {{who} has agreed} other {somebody has agreed}}. Record that while there is network.',
    'limits' => 'Its safety limits are blank, so it cannot be started in the field. Write them down, or start it once with a name and a reason.',
    'clockAhead' => 'The clock of the device that this was recorded on was {by} {ahead, select, yes {ahead} other {behind}}; its times are put right by that.',
    'inFuture' => 'This run would begin in {in}. Is that so, or is the clock wrong that it was written down by?',
];
