<?php

declare(strict_types=1);

return [
    'sentence' => '{stops, plural, =0 {Nothing to run is gathered yet.} other {{stops, plural, one {One trial} other {# trials}}, {runs, plural, one {one run} other {# runs}}, about {time}{known, select, yes { of {hours}} other {}}{out, plural, =0 {.} other {; time is short, so leave out {names}.}}}}',
    'why' => '{why, select, breaks {last: it costs an article a run} risk {late: a person is at risk} hazard {after what is safe} wears {it leaves a mark} other {first: nothing is at risk}}{must, select, yes {; a must waits for it} other {}}',
    'articles' => '{any, select, yes {{serials} for {name}} other {Nothing is here for {name}}}{spares, plural, =0 {} one {, and one spare{breaks, select, yes {, since each run costs one} other {}}} other {, and # spares{breaks, select, yes {, since each run costs one} other {}}}}',
    'instrument' => '{name}{power, select, none {} other {, with {needs}}}{left, select, none {} other {; it was left in {unit}}}',
    'agree' => '{trial} waits until {named, select, yes {{who} has agreed} other {somebody has agreed}}',
    'missed' => '{what}: missed at {place}',
];
