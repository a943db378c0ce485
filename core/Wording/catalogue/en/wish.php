<?php

declare(strict_types=1);

return [
    'nothing' => 'It names no limit, and nothing that one look could settle. Pick below what it asks for; the words stay as they are.',
    'read' => '{kind, select, check {One look settles it} every {{named, select, yes {{metric}} other {its value}} on every article}'
        .' rate {{named, select, yes {{metric}} other {it holds}}, as a share of tries} rating {{named, select, yes {{metric}} other {its value}}, as people rate it}'
        .' spread {how far {named, select, yes {{metric}} other {its value}} spreads} other {{named, select, yes {{metric}} other {its value}}, as the mean over runs}}'
        .'{kind, select, check {} other {: {way, select, atLeast {at least {limit}} atMost {at most {limit}} other {{limit}}}}}'
        .'{placed, select, yes {, {places}} other {}}.',
    'whichMetric' => 'What is measured?',
    'whichWay' => 'At least, or at most?',
    'newMetric' => '“{metric}” is new: is it something that is measured already, under another name?',
    'takes' => '{kind, select, check {One look shows it.}'
        .' every {{n, plural, one {# article} other {# articles}} without a failure {n, plural, one {shows} other {show}} {percent} % of all articles, or fewer whose values lie well inside.}'
        .' rate {{n, plural, one {# try} other {# tries}} without a failure {n, plural, one {shows} other {show}} {percent} %; with a failure it takes more.}'
        .' rating {Three people at least, each counted once.}'
        .' spread {With {repeats} repeats it is known to at most {times} times what was seen.}'
        .' other {Three runs at least{levels, select, yes { at each level} other {}}, more where they spread.}} At {confidence} % confidence.',
];
