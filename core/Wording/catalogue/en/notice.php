<?php

declare(strict_types=1);

return [
    'newMode' => '“{mode}” has not been seen on this device before.',
    'seenBefore' => '“{mode}” was seen before: {times}.',
    'times' => '{n, plural, one {once} other {# times}} on {letter}',
    'moved' => '{name} was found at {found}; it should be {intended}{tolerated, select, yes { ± {tolerance}} other {}}. It has moved: look at this before you blame the design.',
    'noneHeld' => 'No earlier run of this kind held as hard, so there is nothing to compare with.',
    'article' => 'the article ({was}, then {is})',
    'variant' => 'the variant ({was}, then {is})',
    'own' => '{serial} with {said}',
    'noLonger' => '{serial} had {said}',
    'build' => 'the build ({was}, then {is})',
    'level' => '{name} ({was}, then {is})',
    'against' => 'Against the last one that held (run {number} on {letter}): {any, select, yes {{whys}} other {nothing recorded differs}}.',
    'past' => '{serial} had {runs, plural, one {# run} other {# runs}} behind it{failures, plural, =0 {} one {{runs, plural, one {, which failed} other {, one of which failed}}} other {, # of which failed}}.',
    'soFar' => '{metric} over {n, plural, one {# finished run} other {# finished runs}} of this trial: {figure}.',
    'noLevel' => 'Without its {names} it is like no other run: it is compared with none until somebody says {n, plural, one {it} other {them}}.',
    'noArticle' => 'Nobody said which article it was: a finished one, a mock-up or a model? Until then it is taken for one of its build as it is written down.',
    'missing' => 'Nobody has recorded {names} yet. Write “unknown” if it cannot be told any more.',
];
