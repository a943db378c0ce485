<?php

declare(strict_types=1);

return [
    'aside' => '{rigged, select, yes {{rig} · } other {}}version {version} · {minutes} min a run',
    'channel' => '{metric} in {unit}{derived, select, yes {, worked out as {formula}} other {}}{named, select, yes {, {instrument}} other {}}{stepped, select, yes {, steps of {step}} other {}}{limits, select, yes {, plausible {low} to {high}} other {}}',
    'question' => '{metric}{told, select, yes {: {text}} other {}}',
    'factor' => '{name}{inUnit, select, yes { in {unit}} other {}}{named, select, yes {: {levels}} other {}}{stepped, select, yes {, to the nearest {step}} other {}}{harder, select, more {, more is harder} less {, less is harder} other {}}{role, select, block { (pairs the runs)} other {}}',
    'condition' => '{name}{inUnit, select, yes { ({unit}{tolerated, select, yes {, equal within {tolerance}} other {}})} other {}}',
    'setting' => '{name}{set, select, yes { {intended}} other {}}{tolerated, select, yes { ± {tolerance}} other {}}',
    'unnamed' => 'First try',
    'hurtsNobody' => 'It can hurt nobody: stop when there is nothing more to see.',
    'wanted' => '{name} {atLeast, select, yes {at least} other {at most}} {limit}',
    'mind' => '{any, select, yes {{known}} other {No hazards written down}}. {stops, select, yes {{abort}} other {It does not say when to stop.}}{signed, select, yes { Needs a sign-off.} other {}} Local rules and licensed practice come first.',
];
