<?php

declare(strict_types=1);

return [
    'lag' => '{known, select, yes {It reaches {value} % of a step within the event; {needed} % are needed{fit, select, yes {} other {: it shows less than there is}}.} other {Nobody said how slow it is, or how long the event lasts.}}',
    'rate' => '{known, select, yes {{value} samples within the event; {needed} are needed{fit, select, yes {} other {: it may miss the peak}}.} other {Nobody said how often it reads, or how long the event lasts.}}',
    'resolution' => '{known, select, yes {{value} of its steps within the difference looked for; {needed} are needed{fit, select, yes {} other {: it is too coarse to tell}}.} other {Nobody said its step, or which difference is looked for.}}',
    'share' => '{percent} % of the {what}{short, select, yes { ({lacking} short)} other {}}',
    'rehearsal' => '{any, select, yes {it carries {carried}{gaps, select, yes {, and nothing of the {missing}} other {}}} other {{gaps, select, yes {it carries nothing of the {missing}} other {it carries what the use asks for}}}}.',
    'atMost' => '{full, select, yes {{one, select, yes {A trial on {build} carries all of it} other {Each part of it is carried by a trial on {build}, and none carries all of it at once}}} other {{any, select, yes {Trials on {build} carry at most {carried}{gaps, select, yes {, and nothing of the {missing}} other {}}} other {Trials on {build} carry nothing of the {missing}}}}}.',
    'rehearsed' => 'Of “{use}”, {said}',
    'contradiction' => '{what} do not agree ({z} standard uncertainties apart): {implied}. {why, select, before {The {doubted} is doubted: runs before read {before}, and the others are as they were.} always {The {doubted} is doubted: it stands in each of these contradictions.} other {One of them is wrong, or was read at another moment.}}',
    'implied' => '{from} imply a {what} of {value}',
];
