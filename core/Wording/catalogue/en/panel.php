<?php

declare(strict_types=1);

return [
    'sentence' => '{unblinded, select, yes {{items, plural, one {# article} other {# articles}} rated blind by {raters, plural, one {one rater} other {# raters}}: {done, number} of {all, number} sheets} other {{done, number} of {all, number} sheets are there, from {raters, plural, one {one rater} other {# raters}}; nobody sees a mean before it is unblinded}}{late, plural, =0 {} one {, and one came too late} other {, and # came too late}}.',
    'missing' => '{rater} has said nothing of {codes}.',
    'order' => '{metric}: {told, select, yes {the raters agree on their order more than chance would} other {the raters do not show one order}} (W {w} of 1).',
    'noOrder' => '{metric}: too few rated everything to say whether they order them alike.',
    'blind' => '{right, number} of {n, plural, one {one guess was} other {# guesses were}} right, among {items, number}: {held, select, yes {chance gives that often enough (p {p}), so nothing says that the blind failed.} other {chance seldom gives that (p {p}). The blind did not hold, and what they preferred may be what they knew.}}',
    'preferred' => '{told, select, yes {{first} is preferred to {second}} other {{first} and {second} are not told apart}}: {told, select, yes {} other {{first} }}in {percent} % [{low}, {high}] of choices, {n, plural, one {one comparison} other {# comparisons}}.',
    'noPreference' => 'Preferences: {why}',
    'underACode' => 'rated blind, as {code}',
    'underACodeNotBlind' => 'rated as {code} at a session of their own, not blind',
    'notBlind' => '{raters} rated at {n, plural, one {a session of their own} other {sessions of their own}}, where more than codes can be seen: that counts as not blind.',
    'opened' => '{by} looked which code was which before it was unblinded: {because}.',
];
