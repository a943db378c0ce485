<?php

declare(strict_types=1);

return [
    'onlyBounds' => '{metric}: on {letter} only bounds so far ({n} ended before the event).',
    'onlyHere' => '{metric}: {one, select, yes {{mean} on {letter}} other {measured at {levels} levels on {letter}}}; not measured on {other}.',
    'changed' => '{n, plural, one {One run} other {# runs}} of {letter} {n, plural, one {is} other {are}} not in it: something was changed on an article between two runs ({what}{more, plural, =0 {} other { and # more}}).',
    'allRuns' => 'all runs',
    'by' => '{none, select, yes {no more and no less} other {{amount} {less, select, yes {less} other {more}}}}',
    'headline' => '{any, select, yes {{first}{looked, plural, =1 {} other { One of # looked at.}}} other {{looked, plural, one {The one comparison with {other} tells nothing apart.} other {None of # comparisons with {other} tells anything apart for sure.}}}}',
    'article' => '{letter} ({serial})',
    'cell' => '{cell}: {change}',
    'alone' => '{letter} alone was run with {cells}: no counterpart.',
    'notTogether' => '{metric} on {letter} against {other}: {byCell, select, yes {it hangs on the level, in both directions: {cells}} other {nothing was run alike on both, so neither says anything of the other{known, select, yes {; one run of {letter} at {there} would join them} other {}}}}.',
    'chained' => '{metric} on {letter}: {size} {less, select, yes {less} other {more}} than {other}, through {via}: the two were never run alike, but each was like {via}{told, select, yes {} other {, and that cannot be told from no change}}.',
    'together' => '{changes} act on it together and cannot be told apart; a run on an article with “{first}” and without {n, plural, =2 {the other} other {the others}} would part them.',
    'untold' => '{metric} on {letter}{sized, select, yes {: {size}; it is} other { is}} set against {other} once the planned runs are there.',
    'sentence' => '{metric} on {letter}: {sized, select, yes {{size}, } other {}}{change} than {other}'
        .'{blocked, select, yes {, pair by pair} other {{pairs, plural, =0 {} =1 {} other {, level by level}}}}'
        .'{verdict, select, indistinct {, which cannot be told from no change with {nOther} and {n} runs}'
        .' single {, from a single run, so without an interval} other {{known, select, yes {; from a single run, told by what repeats of the method do} other {}}}}'
        .'{against, select, yes {; the other way at {where}} other {}}{varies, select, yes {; the size differs by level} other {}}'
        .'{articles, select, yes {; whether the builds do needs a second article} other {}}{tilted, select, yes {; {footing}} other {}}.',
    'repeats' => '{used, select, yes {Counted in: {repeats}} other {Not counted in, since here they spread farther: {repeats}}}.',
    'maybeWorse' => '{metric} may be worse, one of {musts, number} musts looked at.',
    'howWords' => 'By the order of the words alone, at each level by itself: the test of Mann and Whitney on the runs that both builds have alike, p = {p}. Words have no mean and no per cent.',
    'words' => '{metric} on {letter}{sized, select, yes {: {here}, against {there} on {other}} other { against {other}}}; {verdict, select, higher {higher by order (p = {p})} lower {lower by order (p = {p})} single {one run each tells nothing} other {not told apart by order (p = {p})}}, over {n} and {nOther} runs{tilted, select, yes {; {footing}} other {}}.',
    'byOrder' => 'By order alone {letter} is rated {alike, select, yes {{real, select, yes {otherwise than {other}, which is more than chance} other {alike to {other}}}} other {{shift} {lower, select, yes {lower} other {higher}} than {other}, {real, select, yes {which is more than chance} other {which may be chance}}}} (p = {p}).',
    'spread' => '{known, select, yes {Its runs spread {times} times as far as those of {other}{ended, select, yes { [{low}, {high}]} other {}}{verdict, select, higher {: more} lower {: less} other {, which cannot be told from as far}}.} other {The runs of {other} do not spread at all, so no ratio can be told.}}',
    'how' => '{per, select, block {Difference within {blocks}, its interval over them.} article {Difference on the levels that both have; articles count, not their repeats.}'
        .' other {{pairs, plural, =0 {} =1 {Welch’s difference.} other {Difference on the # levels that both have, each weighed by its runs.}}}}'
        .' Per cents count the baseline as uncertain too (Fieller), or are taken pair by pair on logarithms.{known, select, yes { p = {p}.} other {}}',
    'smallP' => 'under 0.001',
    'side' => '{letter}: {n, plural, one {# run} other {# runs}}{bounds, plural, =0 {} one { and # bound} other { and # bounds}}',
    'rung' => '{held} of {n} [{low}, {high} %]',
    'shareDifference' => '{difference} · p = {p}',
    'beyond' => 'beyond what was tried',
    'median' => '{letter}: half reach {median} {unit} [{low}, {high}] ({ended} ended{stopped, plural, =0 {} other {, # stopped without it}}).',
    'medianOfFew' => '{letter}: {ended, plural, =0 {none} one {one run} other {# runs}} ended{stopped, plural, =0 {} other { and # {stopped, plural, one {was} other {were}} stopped without it}}; what half reach cannot be told from that.',
    'medianBeyond' => '{letter}: half have not ended by the longest run ({ended} ended, {stopped} stopped without it), so the median is only known to lie beyond.',
    'oneInTen' => '{letter}: one in ten ends before {life}.',
    'noLife' => '{letter}: {why}.',
    'logRank' => 'Log-rank, bounds included: p = {p}; {letter} and {other} {differ, select, yes {differ} other {cannot be told apart}}.',
    'shareUnmatched' => '{side}; {other} was not tried at any level that this one was tried at, so neither says anything of the other.',
    'shareSide' => '{metric} on {letter}: {parts}{height}',
    'sharePart' => '{at, select, yes {at {level} held} other {held}} {held} of {n}{just, plural, =0 {} other { (# only just)}}',
    'shareParts' => 'tried in {n} ways, {whole, plural, =0 {in none} other {in #}} of them without a failure',
    'heightCensored' => ', nothing failed up to {level}, which is a lower bound',
    'heightHeld' => ', up to {level} nothing failed',
    'heightFailed' => ', and the lowest level, {level}, already failed',
    'shareAlone' => '{side}; the other build was not tried.',
    'share' => '{side}; {verdict, select, '
        .'bothPass {both pass{part, select, yes { where both were tried ({heldHere} of {nHere}, and {heldOther} of {nOther} on {other})} other {}}, so far this trial does not tell them apart{hides, select, yes {; up to {points} points could hide} other {}}}'
        .' untold {it is set against {other} ({heldOther} of {nOther}) once the planned runs are there}'
        .' more {more often than {other}} less {less often than {other}} other {{part, select, yes {where both were tried, {heldHere} of {nHere}} other {which}} cannot be told from {heldOther} of {nOther} on {other}}}{tilted, select, yes {; {footing}} other {}}.',
];
