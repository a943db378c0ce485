<?php

declare(strict_types=1);

use Lustrum\Core\Panel\ServingOrders;

/** The story of Plover, a hand dibber: twelve handles in one build, rated blind, and the one that was chosen. */
function plover(): Story
{
    $s = new Story(['id' => 'plover', 'name' => 'Plover', 'brief' => 'A hand dibber that makes planting holes of one depth. Its grip comes in four shapes, each with three cord wraps.', 'users' => 'Growers who set out a few hundred plants in a morning, often with wet gloves.', 'gates' => 'open', 'confidence' => 0.95, 'currency' => 'EUR', 'costLimit' => null, 'hoursLimit' => null, 'changesLimit' => null, 'origin' => ['createdAt' => '2026-08-01T18:00:00+00:00', 'createdBy' => 'Tobias Lind', 'version' => 1, 'withdrawnBecause' => null]], 20260801, 'Tobias Lind');
    foreach ([['Growers find it comfortable', 'comfort', '%', 65.0, 'atLeast', 'mean', true], ['Growers feel that they have it in hand', 'control', '%', 60.0, 'atLeast', 'mean', false], ['A bed is done in good time', 'time for 100 holes', 's', 170.0, 'atMost', 'mean', true]] as $i => [$statement, $metric, $unit, $limit, $direction, $kind, $must]) {
        $s->add('requirements', ['device' => 'plover', 'statement' => $statement, 'metric' => $metric, 'unit' => $unit, 'limit' => $limit, 'direction' => $direction, 'kind' => $kind, 'coverage' => 0.9, 'must' => $must, 'conditions' => [], 'dependsOn' => ['shape', 'material'], 'place' => $i], '2026-08-01T18:10:00+00:00');
    }
    $s->add('methods', ['id' => 'm-panel', 'device' => 'plover', 'name' => 'A bed by six growers', 'purpose' => 'How does it lie in the hand, and how fast is it?', 'rig' => 'Bed 3, string with knots', 'heldWhen' => 'All 100 holes made', 'endPoint' => '100 holes', 'notRepresented' => 'Stony ground, and a whole day of it.', 'minutes' => 8.0,
        'channels' => [
            [
                'key' => 'comfort', 'metric' => 'comfort', 'unit' => '%', 'instrument' => 'Rating sheet', 'resolution' => 1.0,
                'low' => 0.0, 'high' => 100.0, 'whenStopped' => 'equal',
            ],
            [
                'key' => 'control', 'metric' => 'control', 'unit' => '%', 'instrument' => 'Rating sheet', 'resolution' => 1.0,
                'low' => 0.0, 'high' => 100.0, 'whenStopped' => 'equal',
            ],
            [
                'key' => 'time', 'metric' => 'time for 100 holes', 'unit' => 's', 'instrument' => 'Stopwatch',
                'resolution' => 1.0, 'low' => 40.0, 'high' => 900.0, 'whenStopped' => 'atLeast',
            ],
        ],
        'conditions' => [['name' => 'gloves', 'unit' => '', 'tolerance' => null, 'states' => ['dry', 'wet']]], 'settings' => [],
        'factors' => [[
            'name' => 'grower', 'role' => 'block', 'kind' => 'words', 'unit' => '', 'step' => null, 'levels' => [],
            'harder' => 'none',
        ]],
        'questions' => [], 'wears' => false,
        'safety' => ['hazards' => ['strain on the wrist', 'pointed tool'], 'cautions' => ['Ten minutes of rest between handles', 'Point down when walking'], 'abort' => 'Stop when a grower says so, or when a handle comes loose.', 'needsSignOff' => false]], '2026-08-01T18:20:00+00:00');
    ploverHandles($s);
    ploverChosen($s);
    $s->add('failures', ['id' => 'cord', 'revision' => 'plover-A', 'run' => null, 'article' => 'H-03', 'mode' => 'Cord unravelled', 'place' => 'grip, upper end', 'consequence' => 'minor', 'stage' => 'sowing', 'question' => '', 'note' => 'The knot of the coarse cord works loose.'], '2026-08-12T17:00:00+00:00');
    $s->add('causes', ['failure' => 'cord', 'text' => 'Knot too thick for its groove', 'kind' => 'design', 'standing' => 'supported', 'findings' => 'The fine cord sits in the same groove and holds.'], '2026-08-12T18:00:00+00:00');
    foreach ([['A', 'bench', 'Ten handles on the bench', 410], ['B', 'furrow', 'Bed 3, holes of one depth', 411]] as [$letter, $scene, $caption, $seed]) {
        $s->add(
            'photos',
            ['revision' => 'plover-'.$letter, 'run' => null, 'failure' => null, 'caption' => $caption, 'scene' => $scene, 'seed' => $seed],
            '2026-09-28T15:00:00+00:00',
        );
    }
    foreach ([['Cork in place of cord', 'material', 3.0, 2.0, [['comfort', '%', 0.0, 4.0, 8.0]], 'outside', 'Grower 4'], ['Tip of hardened steel', 'material', 6.0, 3.0, [], 'team', ''], ['Depth stop that can be set', 'shape', 4.5, 5.0, [['time for 100 holes', 's', 2.0, 5.0, 12.0]], 'outside', 'Grower 2']] as [$what, $class, $cost, $hours, $effects, $source, $askedBy]) {
        $s->add('candidates', ['revision' => 'plover-B', 'what' => $what, 'why' => '', 'class' => $class, 'cost' => $cost, 'hours' => $hours, 'effects' => array_map(static fn (array $e): array => ['metric' => $e[0], 'unit' => $e[1], 'low' => $e[2], 'likely' => $e[3], 'high' => $e[4]], $effects), 'source' => $source, 'askedBy' => $askedBy, 'failures' => [], 'choice' => 'open', 'reason' => '', 'decision' => null], '2026-10-04T19:00:00+00:00');
    }

    ploverPanel($s);
    ploverStand($s);

    return $s;
}

/** Twelve handles, two left out before they were tried, two lost on the way. */
function ploverHandles(Story $s): void
{
    $left = ['ball, bare' => 'Slips in a wet glove, felt at once.', 'tee, coarse' => 'Cuts into the palm, felt at once.'];
    $arms = [];
    foreach (['pear', 'ball', 'tee', 'pistol'] as $grip) {
        foreach (['bare', 'fine', 'coarse'] as $wrap) {
            $arms[] = [
                'name' => $grip.', '.$wrap,
                'values' => [['name' => 'grip', 'text' => $grip], ['name' => 'cord wrap', 'text' => $wrap]], 'planned' => 1,
                'eliminated' => $left[$grip.', '.$wrap] ?? '',
            ];
        }
    }
    $s->add('revisions', ['id' => 'plover-A', 'device' => 'plover', 'parent' => null, 'letter' => 'A', 'branch' => '', 'intent' => 'Four grips, each with three cord wraps', 'firmware' => '', 'state' => 'built', 'stateReason' => '', 'arms' => $arms, 'chosenArm' => 'pear, fine'], '2026-08-03T09:00:00+00:00');
    ploverParameters($s, 'A', 95.0);
    // Comfort, control and seconds that a handle adds to those of a grower.
    $effects = [
        'pear, bare' => [7, 3, -2], 'pear, fine' => [14, 9, -6], 'pear, coarse' => [11, 10, -5], 'ball, fine' => [9, 1, 2],
        'ball, coarse' => [6, 2, 3], 'tee, bare' => [-9, 4, 4], 'tee, fine' => [-3, 6, 1], 'pistol, bare' => [-6, -5, 8],
        'pistol, fine' => [1, -3, 5], 'pistol, coarse' => [-2, -4, 6],
    ];
    $lost = ['pistol, coarse' => [3, 'Fell into the pond between two growers'], 'tee, bare' => [4, 'Left on the path and driven over']];
    $s->add('trials', ['id' => 'panel-A', 'revision' => 'plover-A', 'method' => 'm-panel', 'name' => 'Ten handles, six growers, blind', 'question' => 'Which handle do growers like, and is any faster?', 'plannedRuns' => 60, 'repeats' => 'estimate', 'state' => 'done', 'signOff' => null, 'override' => null], '2026-08-10T07:00:00+00:00');
    $minute = 0;
    foreach (array_keys($effects) as $i => $arm) {
        $s->add('articles', ['id' => sprintf('H-%02d', $i + 1), 'revision' => 'plover-A', 'serial' => sprintf('H-%02d', $i + 1), 'lots' => [], 'deviations' => '', 'state' => 'bare', 'arm' => $arm, 'whereabouts' => isset($lost[$arm]) ? 'scrapped' : 'here'], '2026-08-08T10:00:00+00:00');
    }
    foreach (ploverGrowers() as $g => [$comfort, $control, $seconds]) {
        foreach (array_keys($effects) as $i => $arm) {
            [$from, $why] = $lost[$arm] ?? [9, ''];
            if ($g > $from) {
                continue;
            }
            ploverRun($s, 'panel-A', sprintf('H-%02d', $i + 1), '2026-08-1'.intdiv($g, 3), $minute++, $g, $g === $from ? $why : '', [
                $comfort + $effects[$arm][0], $control + $effects[$arm][1], $seconds + $effects[$arm][2],
            ]);
        }
    }
}

/** The handle that was chosen, made twice, with a longer tip. */
function ploverChosen(Story $s): void
{
    $s->add('revisions', ['id' => 'plover-B', 'device' => 'plover', 'parent' => 'plover-A', 'letter' => 'B', 'branch' => '', 'intent' => 'The pear with the fine cord, and a longer tip', 'firmware' => '', 'state' => 'building', 'stateReason' => ''], '2026-09-12T09:00:00+00:00');
    ploverParameters($s, 'B', 110.0);
    $s->add('changes', ['revision' => 'plover-B', 'what' => 'Tip 15 mm longer', 'why' => 'One push in place of two', 'class' => 'shape', 'effects' => [['metric' => 'time for 100 holes', 'unit' => 's', 'low' => -20.0, 'likely' => -12.0, 'high' => -5.0]], 'alters' => ['parameter:tip length'], 'verdict' => null, 'verdictNote' => '', 'against' => []], '2026-09-12T09:10:00+00:00');
    $s->add('decisions', ['id' => 'dec-plover', 'revision' => 'plover-A', 'next' => 'plover-B', 'nextLetter' => 'B', 'note' => 'The pear leads, and the fine cord holds its knot.', 'known' => ['lines' => [['what' => 'Tip 15 mm longer', 'why' => '', 'class' => 'shape', 'choice' => 'in', 'reason' => 'Two pushes a hole cost time.', 'cost' => 2, 'hours' => 3, 'expected' => 'time for 100 holes −20 to −5 s', 'askedBy' => '']], 'evidence' => [], 'cost' => '2.00', 'hours' => 3.0, 'currency' => 'EUR', 'entangled' => [], 'over' => [], 'forecasts' => []]], '2026-09-10T20:00:00+00:00');
    $s->add('trials', ['id' => 'panel-B', 'revision' => 'plover-B', 'method' => 'm-panel', 'name' => 'The chosen handle, six growers', 'question' => 'Is the longer tip faster?', 'plannedRuns' => 12, 'repeats' => 'estimate', 'state' => 'done', 'signOff' => null, 'override' => null], '2026-09-28T07:00:00+00:00');
    foreach (['H-21', 'H-22'] as $serial) {
        $s->add(
            'articles',
            ['id' => $serial, 'revision' => 'plover-B', 'serial' => $serial, 'lots' => [], 'deviations' => '', 'state' => 'finished'],
            '2026-09-26T10:00:00+00:00',
        );
    }
    $minute = 0;
    foreach (ploverGrowers() as $g => [$comfort, $control, $seconds]) {
        foreach (['H-21', 'H-22'] as $serial) {
            ploverRun($s, 'panel-B', $serial, '2026-09-28', $minute++, $g, '', [$comfort + 14, $control + 9, $seconds - 6 - 12]);
        }
    }
}

/** @return list<array{int, int, int}> what each grower gives to a handle of no merit, and how long they take */
function ploverGrowers(): array
{
    return [[48, 52, 178], [70, 66, 131], [57, 60, 205], [78, 71, 118], [51, 49, 152], [64, 58, 190]];
}

function ploverParameters(Story $s, string $letter, float $tip): void
{
    foreach (['grip' => 'pear', 'cord wrap' => 'fine'] as $name => $word) {
        $s->add('parameters', ['revision' => 'plover-'.$letter, 'name' => $name, 'words' => $word, 'measure' => ['value' => 0.0, 'unit' => '1', 'resolution' => null]], '2026-08-03T09:20:00+00:00');
    }
    $s->add(
        'parameters',
        ['revision' => 'plover-'.$letter, 'name' => 'tip length', 'measure' => ['value' => $tip, 'unit' => 'mm', 'resolution' => 1.0]],
        '2026-08-03T09:21:00+00:00',
    );
    $s->add(
        'parts',
        ['revision' => 'plover-'.$letter, 'name' => 'Grip', 'material' => 'beech', 'quantity' => 1.0, 'cost' => 4.2, 'note' => ''],
        '2026-08-03T09:22:00+00:00',
    );
    $s->add('parts', ['revision' => 'plover-'.$letter, 'name' => 'Tip', 'material' => 'steel', 'quantity' => 1.0, 'cost' => $letter === 'A' ? 3.1 : 3.4, 'note' => ''], '2026-08-03T09:23:00+00:00');
}

/** A panel that goes on: cord wraps of one grip, under codes; two of four growers have rated, the third is half way. */
function ploverPanel(Story $s): void
{
    [$day, $serials, $raters] = ['2026-11-24T09:00:00+00:00', ['H-01', 'H-02', 'H-03'], [
        'Odile Ferrant', 'Bram Achterberg', 'Grower 3', 'Grower 4',
    ]];
    $s->add('trials', ['id' => 'panel-A2', 'revision' => 'plover-A', 'method' => 'm-panel', 'name' => 'Cord wraps again, cold hands', 'question' => 'Does the wrap matter in the cold?', 'plannedRuns' => 12, 'repeats' => 'estimate', 'state' => 'planned', 'signOff' => null, 'override' => null], $day, 'Maren Okafor');
    $s->add('panels', ['id' => 'panel-cold', 'trial' => 'panel-A2', 'serials' => $serials, 'raters' => $raters, 'seed' => 411, 'servesName' => 'Maren Okafor', 'scales' => [['channel' => 'comfort', 'low' => 'hurts', 'high' => 'lies well']], 'prefers' => true, 'guess' => 'Which has the fine cord?', 'right' => 'H-02', 'unblinded' => null], $day, 'Maren Okafor');
    $orders = ServingOrders::of($serials, count($raters), 411);
    $points = ['H-01' => 52, 'H-02' => 71, 'H-03' => 60];
    foreach ([3, 3, 2] as $r => $done) {
        foreach (array_slice($orders->raters[$r]['order'], 0, $done) as $place => $serial) {
            $before = $place === 0 ? null : $orders->raters[$r]['order'][$place - 1];
            $s->add('sheets', [
                'panel' => 'panel-cold', 'rater' => $raters[$r], 'code' => $orders->raters[$r]['codes'][$place],
                'ratings' => [['name' => 'comfort', 'text' => (string) ($points[$serial] + 6 * $r)]],
                'prefers' => $before === null ? null : ($points[$serial] > $points[$before] ? 'this' : 'before'),
                'guess' => $place === 2 ? $orders->codes[$r === 0 ? 'H-02' : 'H-03'] : '', 'note' => '', 'late' => false,
            ], sprintf('2026-11-24T09:%02d:00+00:00', 10 * $r + 3 * $place), 'Maren Okafor');
        }
    }
}

/** @param array{int, int, int} $means comfort, control, seconds */
function ploverRun(Story $s, string $trial, string $article, string $day, int $place, int $grower, string $lost, array $means): void
{
    $at = gmdate(DATE_ATOM, (int) strtotime($day.' 08:00 UTC') + 540 * ($place % 40));
    $s->run($trial, $article, $at, [
        'operator' => 'Maren Okafor', 'levels' => [['name' => 'grower', 'text' => 'Grower '.($grower + 1)]],
        'conditions' => [['name' => 'gloves', 'text' => 'dry']], 'settings' => [], 'note' => '',
    ] + ($lost === '' ? [] : ['outcome' => 'lost', 'outcomeReason' => $lost]), $lost !== '' ? [] : [
        'comfort' => [min(100.0, max(0.0, Story::normal($means[0], 2.5))), 0],
        'control' => [min(100.0, max(0.0, Story::normal($means[1], 3.0))), 0],
        'time' => [Story::normal($means[2], 4.0), 0],
    ]);
}

/** Pushed into a box of soil on the stand: what the stand reads by itself is taken off, and a dowel shows how it drifts. */
function ploverStand(Story $s): void
{
    $s->add('methods', ['id' => 'm-stand', 'device' => 'plover', 'name' => 'Push into a box of soil', 'purpose' => 'What does a hole cost the arm?', 'rig' => 'Lever stand over a box of raked soil', 'heldWhen' => 'Down to the stop', 'endPoint' => 'The depth stop touches', 'notRepresented' => 'Roots and stones.', 'minutes' => 4.0, 'reference' => 'dowel R-2',
        'channels' => [
            [
                'key' => 'shown', 'metric' => 'shown force', 'unit' => 'N', 'instrument' => 'Load cell with unit button',
                'resolution' => 0.1, 'low' => 0.0, 'high' => 200.0, 'whenStopped' => 'atLeast',
            ],
            [
                'key' => 'push', 'metric' => 'push per hole', 'unit' => 'N', 'instrument' => '', 'resolution' => null,
                'low' => null, 'high' => null, 'whenStopped' => 'equal', 'formula' => 'shown - shown_empty',
            ],
        ],
        'conditions' => [['name' => 'soil', 'unit' => '', 'tolerance' => null, 'states' => ['dry', 'moist']]], 'settings' => [],
        'factors' => [], 'questions' => [], 'wears' => false,
        'safety' => ['hazards' => ['pointed tool'], 'cautions' => ['Hands off the lever while the tip moves'], 'abort' => 'Stop when the stand lifts off the bench.', 'needsSignOff' => false]], '2026-10-01T07:00:00+00:00', 'Ines Caldeira');
    $s->add('trials', ['id' => 'stand-B', 'revision' => 'plover-B', 'method' => 'm-stand', 'name' => 'Into the box, dry', 'question' => 'What does a hole cost the arm?', 'plannedRuns' => 4, 'repeats' => 'estimate', 'state' => 'done', 'signOff' => null, 'override' => null, 'favourites' => [['name' => 'Tobias Lind', 'text' => 'the short tip']]], '2026-10-02T07:00:00+00:00', 'Ines Caldeira');
    // Half of what lies between the first and the last, over the root of three, and the step of the display.
    $empties = [[
        'key' => 'shown_empty', 'name' => 'shown_empty', 'value' => 6.6, 'unit' => 'N', 'u' => sqrt(0.4 ** 2 / 3 + 0.1 ** 2 / 12),
    ]];
    foreach ([['empty', '', 6.2], ['reference', '', 41.0], ['findOut', 'H-21', 88.4], ['findOut', 'H-21', 91.2], ['findOut', 'H-22', 86.9], ['findOut', 'H-22', 90.3], ['reference', '', 41.7], ['empty', '', 7.0]] as $i => [$purpose, $article, $shown]) {
        $at = sprintf('2026-10-02T08:%02d:00+00:00', 6 * $i);
        $run = $s->run('stand-B', $article, $at, ['operator' => 'Ines Caldeira', 'purpose' => $purpose, 'conditions' => [['name' => 'soil', 'text' => 'dry']], 'settings' => [], 'note' => ''] + ($purpose === 'empty' ? [] : ['empties' => $empties]) + ($i === 3 ? ['clockAt' => $at, 'lasted' => 96.0] : []), ['shown' => [$shown, 1]]);
        foreach ($i === 3 ? [[12.0, 15.5], [31.0, null], [58.0, 60.0]] : [] as [$after, $until]) {
            $s->add(
                'observations',
                ['revision' => 'plover-B', 'run' => $run, 'text' => 'Tip wanders', 'saidBy' => '', 'after' => $after, 'until' => $until],
                $at, 'Ines Caldeira',
            );
        }
    }
    foreach ([['The lever creaks, and the cell shows it', ''], ['A box that is raked the same every time', 'A comb with stops hangs at the stand since 5 October']] as [$text, $came]) {
        $s->add(
            'observations',
            ['revision' => 'plover-B', 'run' => null, 'method' => 'm-stand', 'text' => $text, 'saidBy' => '', 'explained' => $came],
            '2026-10-02T10:00:00+00:00', 'Ines Caldeira',
        );
    }
}
