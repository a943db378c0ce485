<?php

declare(strict_types=1);

return [
    'unchanged' => '{metric} unchanged{known, select, yes { within {margin}} other {}}',
    'direction' => '{metric}: {mode, select, more {more} other {less}}',
    'range' => '{low} to {high}',
    'expectedValue' => '{metric} at {amount}',
    'expected' => '{metric} {amount}',
    'noLonger' => '“{mode}” no longer happens',
    'ofMode' => '{both, select, yes {Showed in {failed, number} of {tried, plural, one {# run} other {# runs}} that could have shown it, {failedBefore, number} of {triedBefore, number} before; the difference may lie between {low} and {high} points (p = {p}){together, select, yes {; together with {others}, and not to be told apart} other {}}.} other {{apart, select, yes {It was never tried as hard, or asked the same, as on the parent: neither says anything of the other.} other {{where, select, here {No run of this build could have shown it yet.} other {No run of the parent could have shown it.}}}}}}',
    'noMetric' => 'No metric was named, so only a person can say what came of it.',
    'notMeasured' => '{metric} was {where, select, neither {measured on neither build} here {not measured on this build yet} other {never measured on the parent}}.',
    'notTogether' => '{metric}: {why, select, byLevel {differs by level, with differences of both signs} other {no level was run on both builds, so neither says anything of the other}}.',
    'seen' => '{difference} over {before} and {n} {articles, select, yes {articles} other {runs}}'
        .'{drawn, select, yes {; the earlier mean is drawn in, since its runs chose the variant} other {}}{together, select, yes {; together with {others}, and not to be told apart} other {}}.',
    'words' => '{one, select, yes {{here}, before {before}: by order} other {By order}} {above, plural, =1 {higher} =-1 {lower} other {the same}} (p = {p}), over {nBefore} and {n} runs{together, select, yes {; together with {others}, and not to be told apart} other {}}.',
    'bothPass' => 'Held {held} of {n}, before {heldBefore} of {before}. Both pass: so far this trial does not tell them apart'
        .'{hides, select, yes {; up to {points} points could hide} other {}}.',
    'howOfMode' => 'Difference of the shares on what both builds were asked alike and as hard, with the exact test over these.',
    'how' => '{by, select, share {Difference of the shares, this build less {parent}, with Newcombe’s interval.}'
        .' order {By the order of the words alone, at each level by itself: words have no mean and no per cent.}'
        .' other {Difference on the levels that both builds were run at, this build less {parent}, with its interval.'
        .' Runs that ended before the event are bounds and not in it.}}',
    'shares' => 'Held {held} of {n}, before {heldBefore} of {before}; the difference may lie between {low} and {high} points.',
    'bearing' => '{kind, select, lot {lot of {name}} firmware {the firmware} other {{name}}}',
    'bearsNot' => '{what} bears on nothing of {metric}',
    'unrelated' => '{what} of {letter} bears on nothing of {metric}, says {by}.',
];
