<?php

declare(strict_types=1);

return [
    'onlyBounds' => '{metric}: on {letter} only bounds so far ({n} ended before the event).',
    'onlyHere' => '{metric}: {mean} on {letter}; not measured on {other}.',
    'by' => '{amount} {less, select, yes {less} other {more}}',
    'sentence' => '{metric} on {letter}: {size}, {change} than {other}{verdict, select, indistinct {, which cannot be told from no change with {nOther} and {n} runs} single {, from a single run, so without an interval} other {}}{tilted, select, yes {; {footing}} other {}}.',
    'byOrder' => 'By order alone {letter} is rated {shift} {lower, select, yes {lower} other {higher}} than {other}, {real, select, yes {which is more than chance} other {which may be chance}} (p = {p}).',
    'how' => 'Mean with its t interval. The difference is Welch’s, the percentage Fieller’s, which counts the baseline as uncertain too.{known, select, yes { p = {p}.} other {}}',
    'smallP' => 'under 0.001',
    'side' => '{letter}: {n, plural, one {# run} other {# runs}}{bounds, plural, =0 {} one { and # bound} other { and # bounds}}',
    'rung' => '{held} of {n} [{low}, {high} %]',
    'shareDifference' => '{difference} · p = {p}',
    'beyond' => 'beyond what was tried',
    'median' => '{letter}: half reach {median} {unit} [{low}, {high}] ({ended} ended, {stopped} stopped before).',
    'medianBeyond' => '{letter}: half have not ended by the longest run ({ended} ended, {stopped} stopped before), so the median is only known to lie beyond.',
    'oneInTen' => '{letter}: one in ten ends before {life}.',
    'noLife' => '{letter}: {why}.',
    'logRank' => 'Log-rank, bounds included: p = {p}; {letter} and {other} {differ, select, yes {differ} other {cannot be told apart}}.',
    'shareSide' => '{metric} on {letter}: held {held} of {n}{height}',
    'heightCensored' => ', nothing failed up to {level}, which is a lower bound',
    'heightHeld' => ', up to {level} nothing failed',
    'heightFailed' => ', and the lowest rung of {level} already failed',
    'shareAlone' => '{side}; the other build was not tried.',
    'share' => '{side}; {verdict, select, '
        .'bothPass {both pass, so far this trial does not tell them apart{hides, select, yes {; up to {points} points could hide} other {}}}'
        .' unmatched {{other} was not tried at any level that this one was tried at, so neither says anything of the other}'
        .' more {more often than {other}} less {less often than {other}} other {which cannot be told from {heldOther} of {nOther} on {other}}}.',
];
