<?php

declare(strict_types=1);

/** The story of Wren, a walk-behind seeder for market-garden beds. */
function wren(): Story
{
    $s = new Story(['id' => 'wren', 'name' => 'Wren', 'brief' => 'A walk-behind seeder for market-garden beds. A ground wheel drives it forward, a stepper motor turns a seed plate, an optical gate counts seeds, a 12 V battery lasts a day of sowing.', 'users' => 'Growers with 0.2 to 2 ha of raised beds, sowing alone, often in gloves, from March to September.', 'gates' => 'formal', 'confidence' => 0.95, 'currency' => 'EUR', 'costLimit' => 260.0, 'hoursLimit' => 40.0, 'changesLimit' => 5, 'origin' => ['createdAt' => '2026-02-24T19:10:00+00:00', 'createdBy' => 'Maren Okafor', 'version' => 1, 'withdrawnBecause' => null]], 20260302);
    wrenBrief($s);
    wrenRequirements($s);
    wrenMethods($s);
    wrenRevisions($s);
    wrenTrials($s);
    wrenFindings($s);
    wrenDecisions($s);
    wrenWorkings($s);
    wrenBeliefs($s);
    wrenWorkshop($s);

    return $s;
}

/** What it is used for, in which steps, and who is around. */
function wrenBrief(Story $s): void
{
    $at = '2026-02-24T19:20:00+00:00';
    $s->add('uses', ['id' => 'use-beds', 'device' => 'wren', 'name' => 'Sowing raked beds', 'who' => 'Growers, alone', 'where' => 'Beds of 75 cm, level to gently sloping', 'dropped' => '', 'loads' => [['what' => 'mass', 'text' => '10.4 kg'], ['what' => 'speed', 'text' => '4 km/h'], ['what' => 'payload', 'text' => '3.2 kg'], ['what' => 'length of a bed', 'text' => '30 m']]], $at);
    $s->add('uses', ['id' => 'use-trays', 'device' => 'wren', 'name' => 'Sowing into tray moulds', 'who' => 'Nurseries', 'where' => 'Bench in a tunnel', 'dropped' => 'Trays move under the seeder, not the seeder over them. A nursery that lends its conveyor for a month would bring it back.'], $at);
    $s->add('uses', ['id' => 'use-hire', 'device' => 'wren', 'name' => 'Hired out by the day', 'who' => 'Whoever hires it, unpractised', 'where' => 'Carried in a car boot', 'dropped' => '', 'loads' => [['what' => 'drop height', 'text' => '0.75 m'], ['what' => 'mass', 'text' => '10.4 kg']]], '2026-04-02T18:00:00+00:00');
    foreach ([
        ['fill', 'Fill the hopper, gloves on', 'getReady', 'Grower', 'Edge of the field'],
        ['plate', 'Change the seed plate', 'fit', 'Grower', 'Edge of the field'],
        ['start', 'Switch on and set the spacing', 'begin', 'Grower', 'Head of the bed'], ['sow', 'Walk the bed', 'work', 'Grower', 'Bed'],
        ['brush', 'Reset the brush', 'adjust', 'Grower', 'Bed'], ['turn', 'Turn at the end', 'stop', 'Grower', 'End of the bed'],
        ['empty', 'Empty what is left', 'empty', 'Grower', 'Edge of the field'],
        ['clean', 'Clean the sensor window', 'clean', 'Grower', 'Shed'],
        ['lift', 'Lift it into the tailgate', 'carry', 'Grower', 'Track'], ['winter', 'Store it over winter', 'store', 'Grower', 'Shed'],
    ] as $i => [$id, $name, $kind, $who, $where]) {
        $s->add('steps', ['id' => 'step-'.$id, 'device' => 'wren', 'name' => $name, 'kind' => $kind, 'use' => null, 'who' => $who, 'where' => $where, 'place' => $i], $at);
    }
    foreach ([
        ['Maren Okafor', 'team', 'Leads'], ['Tobias Lind', 'team', 'Mechanics'], ['Ines Caldeira', 'team', 'Electronics and firmware'],
        ['Yusuf Brandt', 'team', 'Field trials'], ['Odile Ferrant', 'tester', 'Sows 0.4 ha by hand; small hands, strong opinions'],
        ['Bram Achterberg', 'customer', 'Would hire out six'], ['Greta Nwosu', 'safety', 'Looks at what falls and what turns'],
    ] as [$name, $relation, $note]) {
        $s->add('persons', ['device' => 'wren', 'name' => $name, 'relation' => $relation, 'note' => $note], $at);
    }
}

/** Files, making and spending of the last two builds. */
function wrenWorkshop(Story $s): void
{
    $plate = static fn (float $depth): string => '<svg xmlns="http://www.w3.org/2000/svg" width="180mm" height="180mm" viewBox="-90 -90 180 180"><g fill="none" stroke="#222" stroke-width="0.6"><circle r="80"/><circle r="9"/>'
        .implode('', array_map(static fn (int $i): string => sprintf('<circle cx="%.2f" cy="%.2f" r="%.2f"/>', 70 * cos($i * M_PI * 2 / 25), 70 * sin($i * M_PI * 2 / 25), 2 + $depth / 2), range(0, 24)))
        .'</g><text x="-22" y="32" font-size="6">cell depth '.sprintf('%.2f', $depth).' mm</text></svg>';
    $file = static fn (string $letter, string $name, string $role, string $content, string $author, string $day, array $more = []): string => $s->add('documents', $more + ['revision' => 'rev-'.$letter, 'part' => null, 'article' => null, 'name' => $name, 'role' => $role, 'author' => $author, 'day' => $day, 'note' => '', 'ratings' => [], 'picture' => base64_encode($content)], $day.'T18:00:00+00:00', $author);
    $file('E', 'cells.svg', 'cutting', $plate(1.60), 'Tobias Lind', '2026-07-22');
    $file('F', 'cells.svg', 'cutting', $plate(1.85), 'Tobias Lind', '2026-10-01', ['note' => 'Cut from acetal, 3.2 mm']);
    $file('E', 'bracket.stl', 'model', wrenBracket(28.0), 'Tobias Lind', '2026-07-24');
    $file('F', 'bracket.stl', 'model', wrenBracket(31.0), 'Tobias Lind', '2026-10-02');
    $file(
        'E', 'driver board.txt', 'dataSheet',
        "Driver board, two channels\nCase temperature at most 85 C at 1.6 A, 25 C ambient\n", 'Ines Caldeira', '2026-07-25',
        ['ratings' => [['what' => 'driver temperature', 'value' => '85 °C', 'page' => '2']]],
    );
    $step = static fn (string $article, string $name, string $who, ?float $minutes, string $at, string $wrong = '', int $scrap = 0, string $noticed = ''): string => $s->add('makings', ['article' => $article, 'name' => $name, 'who' => $who, 'minutes' => $minutes, 'wrong' => $wrong, 'scrap' => $scrap, 'noticed' => $noticed], $at, $who);
    foreach ([['W-09', '2026-08-0', [0, 185, 95, 70, 55], 'Plate warped on the saw', 1], ['W-10', '2026-08-1', [0, 160, 90, 64, 48], '', 0], ['W-11', '2026-10-1', [0, 118, 74, 41, 39], '', 0]] as [$article, $day, $minutes, $wrong, $scrap]) {
        foreach (['Begun', 'Cut the plate', 'Bend and rivet the bracket', 'Wire the driver', 'Put together'] as $i => $name) {
            $isBad = $i === 1 && $wrong !== '';
            $step(
                $article, $name, $i === 3 ? 'Ines Caldeira' : 'Tobias Lind', (float) $minutes[$i],
                $day.($i + 1).'T16:00:00+00:00', $isBad ? $wrong : '', $isBad ? $scrap : 0,
                $isBad ? 'The sheet had been leaning against the stove' : '',
            );
        }
    }
    foreach ([['Lathe and bench work', 'Tobias Lind', 22.5, 0.0], ['Firmware and wiring', 'Ines Caldeira', 11.0, 0.0], ['Acetal sheet, hopper blank', 'Maren Okafor', null, 96.4]] as $i => [$what, $who, $hours, $cost]) {
        $s->add(
            'spendings',
            ['revision' => 'rev-F', 'what' => $what, 'who' => $who, 'hours' => $hours, 'cost' => $cost, 'started' => '', 'stopped' => ''],
            '2026-10-1'.$i.'T18:00:00+00:00', $who,
        );
    }
    $s->add('changes', ['revision' => 'rev-F', 'what' => 'Strap over the lid, for now', 'why' => 'The quick-change lid opened by itself on the slope', 'class' => 'cosmetic', 'effects' => [], 'alters' => ['part:Strap over the lid'], 'verdict' => null, 'verdictNote' => '', 'against' => []], '2026-10-05T09:05:00+00:00', 'Tobias Lind');
    // An article that is made is a run like any other.
    $s->add('methods', ['id' => 'm-making', 'device' => 'wren', 'name' => 'Making', 'purpose' => 'How long an article takes to make, what is thrown away, and whether it comes right first time.', 'rig' => '', 'heldWhen' => '', 'endPoint' => '', 'notRepresented' => '', 'questions' => [['key' => 'rightFirstTime', 'metric' => 'right first time', 'text' => 'No step went wrong, and nothing was thrown away']], 'factors' => [], 'wears' => false, 'minutes' => 10.0, 'channels' => [['key' => 'makingTime', 'metric' => 'making time', 'unit' => 'h', 'instrument' => 'Clock', 'resolution' => 0.01, 'low' => null, 'high' => null, 'whenStopped' => 'equal', 'formula' => ''], ['key' => 'scrap', 'metric' => 'scrap', 'unit' => 'count', 'instrument' => '', 'resolution' => 1.0, 'low' => null, 'high' => null, 'whenStopped' => 'equal', 'formula' => '']], 'conditions' => [], 'settings' => [], 'safety' => ['hazards' => [], 'cautions' => [], 'abort' => 'As the tools and the room ask for.', 'needsSignOff' => false]], '2026-08-05T18:00:00+00:00', 'Tobias Lind');
    foreach (['E' => [['W-09', 405, 1], ['W-10', 362, 0]], 'F' => [['W-11', 272, 0]]] as $letter => $articles) {
        $s->add('trials', ['id' => 'making-'.$letter, 'revision' => 'rev-'.$letter, 'method' => 'm-making', 'name' => 'Making', 'question' => '', 'plannedRuns' => 0, 'repeats' => 'estimate', 'state' => 'running', 'signOff' => null, 'override' => null], '2026-08-05T18:00:00+00:00', 'Tobias Lind');
        foreach ($articles as $i => [$article, $minutes, $scrap]) {
            $s->run('making-'.$letter, $article, ($letter === 'E' ? '2026-08-0'.(6 + $i) : '2026-10-15').'T18:00:00+00:00', ['operator' => 'Tobias Lind', 'conditions' => [], 'settings' => [], 'note' => '', 'answers' => [['question' => 'rightFirstTime', 'answer' => $scrap > 0 ? 'failed' : 'held', 'note' => '']]] + ($scrap > 0 ? ['outcome' => 'failed', 'outcomeReason' => 'A step of making it went wrong.'] : []), ['makingTime' => [$minutes / 60, 2], 'scrap' => [(float) $scrap, 0]]);
        }
    }
}

/** An angle with a gusset, as a model of plain triangles. */
function wrenBracket(float $side): string
{
    $facets = [];
    $box = static function (float $x, float $y, float $z, float $w, float $d, float $h) use (&$facets): void {
        $p = [];
        foreach ([0, 1] as $i) {
            foreach ([0, 1] as $j) {
                foreach ([0, 1] as $k) {
                    $p[] = [$x + $i * $w, $y + $j * $d, $z + $k * $h];
                }
            }
        }
        foreach ([[0, 1, 3], [0, 3, 2], [4, 6, 7], [4, 7, 5], [0, 4, 5], [0, 5, 1], [2, 3, 7], [2, 7, 6], [0, 2, 6], [0, 6, 4], [1, 5, 7], [1, 7, 3]] as [$a, $b, $c]) {
            $facets[] = [$p[$a], $p[$b], $p[$c]];
        }
    };
    $box(0, 0, 0, 60, $side, 3);
    $box(0, 0, 3, 3, $side, 57);
    $facets[] = [[3, $side / 2 - 1.5, 3], [40, $side / 2 - 1.5, 3], [3, $side / 2 - 1.5, 40]];
    $facets[] = [[3, $side / 2 + 1.5, 3], [3, $side / 2 + 1.5, 40], [40, $side / 2 + 1.5, 3]];
    $facets[] = [[40, $side / 2 - 1.5, 3], [40, $side / 2 + 1.5, 3], [3, $side / 2 + 1.5, 40]];
    $facets[] = [[40, $side / 2 - 1.5, 3], [3, $side / 2 + 1.5, 40], [3, $side / 2 - 1.5, 40]];
    $out = "solid bracket\n";
    foreach ($facets as $facet) {
        $out .= "facet normal 0 0 0\nouter loop\n";
        foreach ($facet as [$px, $py, $pz]) {
            $out .= sprintf("vertex %.2f %.2f %.2f\n", $px, $py, $pz);
        }
        $out .= "endloop\nendfacet\n";
    }

    return $out."endsolid bracket\n";
}

/** What is believed of it, and what came of that. */
function wrenBeliefs(Story $s): void
{
    $s->add('assumptions', ['device' => 'wren', 'text' => 'Small seeds stick because of static charge', 'hangs' => 'An earthed hopper', 'check' => 'The same seed in damp air', 'by' => 'Ines Caldeira', 'findings' => [['says' => 'unclear', 'run' => null, 'failure' => null, 'note' => 'An earthed hopper made no difference that could be seen'], ['says' => 'against', 'run' => null, 'failure' => null, 'note' => 'It is worst in damp air, where nothing is charged: the plate swells']]], '2026-03-12T18:00:00+00:00');
    $s->add('assumptions', ['device' => 'wren', 'text' => 'Nobody walks faster than 4 km/h behind it', 'hangs' => 'Speed of the stepper, size of its driver', 'check' => 'Time six growers over 50 m, without telling them why', 'by' => 'Yusuf Brandt', 'findings' => []], '2026-03-01T18:00:00+00:00');
    $s->add('assumptions', ['device' => 'wren', 'text' => 'A tailgate is no higher than 75 cm', 'hangs' => 'The drop that it must survive', 'check' => 'Measure ten cars', 'by' => 'Tobias Lind', 'findings' => [['says' => 'for', 'run' => null, 'failure' => null, 'note' => 'Ten measured at the market: 58 to 74 cm']]], '2026-03-05T18:00:00+00:00');
}

function wrenRequirements(Story $s): void
{
    $rows = [
        [
            'Seeds lie evenly at walking pace', 'spacing error', '%', 12.0, 'atMost', 'mean', true, ['seed=small', 'seed=large'],
            ['shape', 'firmware', 'setting', 'material'],
        ],
        ['Few places stay empty', 'misses', '%', 3.0, 'atMost', 'mean', true, [], ['shape', 'firmware', 'setting', 'material']],
        ['Few places get two seeds', 'doubles', '%', 4.0, 'atMost', 'mean', true, [], ['shape', 'firmware', 'setting', 'material']],
        [
            'Light to push on a raked bed', 'push force', 'N', 45.0, 'atMost', 'mean', true,
            ['soil=dry', 'soil=moist', 'ground=level', 'ground=slope'], ['shape', 'strength', 'material'],
        ],
        [
            'The handle bracket holds on every article', 'bracket load', 'N', 400.0, 'atLeast', 'every', true, [],
            ['strength', 'shape', 'process'],
        ],
        [
            'Hopper full, dropped from tailgate height, still seeds', 'survives drop', '%', 80.0, 'atLeast', 'rate', true,
            ['drop height>=0.75 m'], ['strength', 'shape', 'process'],
        ],
        ['A day of sowing on one charge', 'run time', 'h', 6.0, 'atLeast', 'mean', true, [], ['electrical', 'firmware']],
        ['The motor driver stays cool at 30 °C', 'driver temperature', '°C', 75.0, 'atMost', 'mean', true, [], ['electrical', 'firmware']],
        ['Seed changed in gloves in two minutes', 'seed change time', 's', 120.0, 'atMost', 'mean', false, [], ['shape']],
        ['Growers like how it handles', 'handling rating', '%', 70.0, 'atLeast', 'rating', false, [], ['shape', 'strength', 'setting']],
        ['Parts stay affordable at a batch of 50', 'parts cost', 'EUR', 180.0, 'atMost', 'mean', false, [], []],
        ['Seeds are counted within 2 %', 'seed count error', '%', 2.0, 'atMost', 'mean', false, [], []],
    ];
    foreach ($rows as $i => [$statement, $metric, $unit, $limit, $direction, $kind, $must, $conditions, $dependsOn]) {
        $s->add('requirements', ['id' => 'req-'.($i + 1), 'device' => 'wren', 'statement' => $statement, 'metric' => $metric, 'unit' => $unit, 'limit' => $limit, 'direction' => $direction, 'kind' => $kind, 'coverage' => $kind === 'check' ? 0.5 : 0.9, 'must' => $must, 'conditions' => $conditions, 'dependsOn' => $dependsOn, 'place' => $i, 'uses' => in_array($metric, ['survives drop', 'seed change time'], true) ? ['use-hire'] : [], 'askedBy' => ['seed change time' => 'Odile Ferrant', 'handling rating' => 'Odile Ferrant', 'parts cost' => 'Bram Achterberg', 'survives drop' => 'Greta Nwosu'][$metric] ?? ''] + match ($metric) {
            'parts cost' => ['source' => 'cost'],
            'seed count error' => ['byModuleName' => 'Seedeye: Counts within 1 %'],
            default => [],
        }, '2026-02-24T19:30:00+00:00');
    }
}

function wrenMethods(Story $s): void
{
    $channel = static fn (string $key, string $metric, string $unit, string $instrument, float $resolution, float $low, float $high, string $whenStopped = 'equal'): array => ['key' => $key, 'metric' => $metric, 'unit' => $unit, 'instrument' => $instrument, 'resolution' => $resolution, 'low' => $low, 'high' => $high, 'whenStopped' => $whenStopped, 'formula' => ''];
    $words = static fn (string $name, string ...$states): array => [
        'name' => $name, 'unit' => '', 'tolerance' => null, 'states' => $states,
    ];
    $number = static fn (string $name, string $unit, float $tolerance): array => [
        'name' => $name, 'unit' => $unit, 'tolerance' => $tolerance, 'states' => [],
    ];
    $safety = static fn (array $hazards, array $cautions, string $abort, bool $signOff = false): array => [
        'hazards' => $hazards, 'cautions' => $cautions, 'abort' => $abort, 'needsSignOff' => $signOff,
    ];
    $methods = [
        ['m-belt', 'Seed spacing on the belt', 'How evenly seeds lie when nothing else disturbs them.', 'Greased belt', '200 seeds counted', '200 seeds', 'Soil, slope and the walker; the belt runs at a constant pace.', '', 12.0,
            [$channel('cv', 'spacing error', '%', 'Seed-gap counter', 0.1, 2, 60), $channel('misses', 'misses', '%', 'Seed-gap counter', 0.1, 0, 40), $channel('doubles', 'doubles', '%', 'Seed-gap counter', 0.1, 0, 40), ['key' => 'singles', 'metric' => 'single seeds', 'unit' => '%', 'instrument' => '', 'resolution' => null, 'low' => null, 'high' => null, 'whenStopped' => 'equal', 'formula' => '1 - misses - doubles']],
            [$number('humidity', '%', 8.0)],
            [[
                'name' => 'brush gap', 'unit' => 'mm', 'intended' => 0.8, 'tolerance' => 0.1, 'lock' => 'two grub screws',
                'low' => 0.2, 'high' => 2.0, 'step' => 0.1, 'more' => 'lets two seeds through',
                'way' => 'clockwise, seen from the hopper', 'readOff' => 'with the feeler gauge at the middle bristle',
                'tool' => '2 mm hex key',
            ]],
            $safety(['moving belt', 'moving plate'], ['Sleeves and hair tied back', 'Motor off before reaching in'], 'Stop when the plate jams or the belt runs off its rollers.')],
        ['m-push', 'Push force on a raked bed', 'What it takes to walk it.', 'Test bed, 20 m', 'Pushed the whole 20 m', '20 m at walking pace', 'Wet clay and crop residue.', '', 15.0,
            [$channel('push', 'push force', 'N', 'Load cell with unit button', 0.1, 10, 120) + ['lasts' => 0.6, 'difference' => 3.0, 'tared' => true]],
            [$words('soil', 'dry', 'moist'), $words('ground', 'level', 'slope'), $number('soil moisture', '%', 4.0)], [],
            $safety(['strain on back and shoulders'], ['Change the walker every ten passes'], 'Stop when the walker says so.')],
        ['m-bracket', 'Handle bracket to failure', 'Where the handle bracket gives way.', 'Lever frame', 'Carried the load until it broke, or to the proof load', 'The bracket breaks, or 410 N is reached and held for a minute', 'Fatigue from thousands of small bumps.', '', 25.0,
            [$channel('load', 'bracket load', 'N', 'Load cell with unit button', 1.0, 100, 900, 'atLeast') + ['tared' => true, 'difference' => 20.0, 'calibration' => [['shown' => 0.4, 'really' => 0.0], ['shown' => 98.0, 'really' => 98.1], ['shown' => 195.0, 'really' => 196.1], ['shown' => 292.5, 'really' => 294.2], ['shown' => 389.0, 'really' => 392.3]]]],
            [$number('room temperature', '°C', 5.0)], [],
            $safety(['stored energy', 'flying parts'], ['Eye protection', 'Stand to the side of the lever', 'Chain on the bracket'], 'Stop at the first crack that can be heard, or when the frame bends.')],
        ['m-drop', 'Full hopper drop', 'Does it still seed after a fall from a tailgate?', 'Drop frame', 'Seeds 50 seeds afterwards without help', 'One drop from the rung', 'A fall onto stones.', 'survives drop', 20.0,
            [], [$words('surface', 'packed soil', 'concrete')], [],
            $safety(['falling load'], ['Nobody within 2 m of the frame', 'Foot protection', 'Release from a distance'], 'Stop when the frame moves or anybody comes within 2 m.')],
        ['m-driver', 'Motor driver temperature', 'How hot the driver gets in an hour of sowing.', 'Bench with heated box', 'Ran 60 minutes', '60 minutes at sowing load', 'Sun on the housing.', '', 70.0,
            [$channel('temp', 'driver temperature', '°C', 'Thermocouple logger', 0.1, 15, 120) + ['lasts' => 60.0, 'difference' => 2.0]],
            [$number('ambient', '°C', 1.5)], [],
            $safety(['heat', 'electricity at 12 V'], ['Do not leave it running alone', 'Fuse in the supply lead'], 'Stop at 100 °C, at any smell, or when the current passes 6 A.')],
        ['m-battery', 'Run on one charge', 'How long a charge lasts.', 'Bench with load wheel', 'Ran until the battery cut off', 'Battery cuts off, or the day ends', 'Cold mornings.', '', 400.0,
            [$channel('time', 'run time', 'h', 'Stopwatch', 0.1, 0.5, 14, 'atLeast')],
            [$words('battery', 'new', 'used one season'), $number('ambient', '°C', 5.0)], [],
            $safety(['battery'], ['Charge on a fireproof surface'], 'Stop when the battery swells or passes 45 °C.')],
        ['m-change', 'Seed change in gloves', 'How long it takes to empty, change the plate and fill.', 'Garden table', 'Plate changed and seeding again', 'First seed counted', 'Rain and cold hands.', '', 8.0,
            [$channel('time', 'seed change time', 's', 'Stopwatch', 1.0, 20, 600) + ['difference' => 5.0]],
            [$words('gloves', 'thin', 'thick')], [], $safety(['moving plate'], ['Battery unplugged'], 'Stop when the plate turns with a hand near it.')],
        ['m-shapes', 'Plates on the belt, four lots', 'How often a cell takes up two seeds.', 'Greased belt', '200 seeds counted', '200 seeds', 'Soil, slope and the walker; the belt runs at a constant pace.', '', 11.0,
            [$channel('doubles', 'doubles', '%', 'Seed-gap counter', 0.1, 0, 40)],
            [$number('humidity', '%', 8.0)], [],
            $safety(['moving belt', 'moving plate'], ['Sleeves and hair tied back', 'Motor off before reaching in'], 'Stop when the plate jams or the belt runs off its rollers.')],
        ['m-gap', 'Brush gap by eye', 'Which gap lets one seed at a time past?', 'Greased belt', '', 'The plate has gone round twenty times', 'Damp seed.', '', 4.0,
            [], [$number('humidity', '%', 8.0)],
            [[
                'name' => 'brush gap', 'unit' => 'mm', 'intended' => null, 'tolerance' => 0.05, 'lock' => 'two grub screws',
                'low' => 0.2, 'high' => 2.0, 'step' => 0.1, 'more' => 'lets two seeds through',
                'way' => 'clockwise, seen from the hopper', 'readOff' => 'with the feeler gauge at the middle bristle',
                'tool' => '2 mm hex key',
            ]],
            $safety(['moving plate'], ['Motor off before reaching in'], 'Stop when the plate jams.')],
        ['m-rating', 'Growers rate the handling', 'How growers like it, blind to which tread is on.', 'Test bed, 20 m', 'Rated after three passes', 'Three passes', 'A whole day of work.', '', 20.0,
            [$channel('rating', 'handling rating', '%', 'Rating sheet', 1.0, 0, 100)],
            [$words('soil', 'dry', 'moist')], [], $safety(['strain on back and shoulders'], ['A rater may stop at any time'], 'Stop when the rater says so.')],
    ];
    $factor = static fn (string $name, string $kind, array $levels = [], string $unit = '', ?float $step = null, string $harder = 'none', string $role = 'factor'): array => ['name' => $name, 'role' => $role, 'kind' => $kind, 'unit' => $unit, 'step' => $step, 'levels' => $levels, 'harder' => $harder];
    $factors = [
        'm-belt' => [$factor('seed', 'words', ['small', 'large'])],
        'm-drop' => [$factor('drop height', 'number', ['0.5 m', '0.75 m', '1 m'], 'm', 0.05, 'more') + ['climbs' => true]],
        'm-shapes' => [$factor('seed lot', 'words', ['radish R-4', 'carrot C-9', 'onion O-2', 'beet B-7'], role: 'block')],
        'm-rating' => [$factor('grower', 'words', role: 'block')],
    ];
    $through = [
        'm-belt' => ['step-start', 'step-sow'], 'm-push' => ['step-start', 'step-sow', 'step-turn'],
        'm-change' => ['step-plate', 'step-empty', 'step-fill'], 'm-rating' => ['step-fill', 'step-start', 'step-sow', 'step-turn'],
    ];
    $conduct = wrenConduct();
    foreach ($methods as [$id, $name, $purpose, $rig, $heldWhen, $endPoint, $not, $outcome, $minutes, $channels, $conditions, $settings, $safetyRow]) {
        $s->add('methods', ['id' => $id, 'device' => 'wren', 'name' => $name, 'purpose' => $purpose, 'rig' => $rig, 'heldWhen' => $heldWhen, 'endPoint' => $endPoint, 'notRepresented' => $not, 'questions' => match (true) {
            $id === 'm-bracket' => [['key' => 'carries', 'metric' => 'carries 400 N', 'text' => 'Carried 400 N']],
            $outcome === '' => [],
            default => [['key' => 'held', 'metric' => $outcome, 'text' => $heldWhen]],
        }, 'factors' => $factors[$id] ?? [], 'wears' => !in_array($id, ['m-rating', 'm-gap'], true), 'minutes' => $minutes, 'channels' => $channels, 'conditions' => $conditions, 'settings' => $settings, 'safety' => $safetyRow, 'steps' => $through[$id] ?? [], 'inUse' => in_array($id, ['m-push', 'm-rating'], true)] + ($conduct[$id] ?? []), '2026-02-26T18:00:00+00:00', 'Yusuf Brandt');
    }
}

/** @return array<string, array<string, mixed>> how each method is gone about, by its identifier */
function wrenConduct(): array
{
    $uses = static fn (string $kind, string $what, float $amount = 1.0, string $unit = ''): array => [
        'kind' => $kind, 'what' => $what, 'amount' => $amount, 'unit' => $unit,
    ];
    $first = static fn (string $method, string $why, array $levels = []): array => [
        'method' => $method, 'levels' => $levels, 'why' => $why,
    ];

    return [
        'm-belt' => [
            'tools' => ['2 mm hex key', 'Brush for the gate'], 'setUpMinutes' => 20.0, 'resetMinutes' => 3.0,
            'changeMinutes' => 5.0, 'use' => 'use-beds',
            'carries' => [['what' => 'speed', 'text' => '4 km/h'], ['what' => 'payload', 'text' => '0.6 kg']],
            'looks' => [['what' => 'the belt tracks in the middle', 'every' => 4.0, 'after' => null, 'at' => '']],
            'usesUp' => [$uses('material', 'seed', 40.0, 'g')],
        ],
        'm-push' => [
            'tools' => ['Rake', 'Tape of 20 m'], 'setUpMinutes' => 25.0, 'resetMinutes' => 6.0, 'use' => 'use-beds',
            'carries' => [
                ['what' => 'mass', 'text' => '10.4 kg'], ['what' => 'speed', 'text' => '4 km/h'],
                ['what' => 'payload', 'text' => '1.5 kg'], ['what' => 'length of a bed', 'text' => '20 m'],
            ],
            'before' => [$first('Seed spacing on the belt', 'indoors before outdoors')], 'usesUp' => [$uses('visit', 'test bed', 0.1)],
        ],
        'm-bracket' => [
            'constants' => [
                ['key' => 'ratio', 'name' => 'Ratio of the lever', 'value' => 4.0, 'unit' => '1', 'u' => 0.02],
                ['key' => 'hook', 'name' => 'Hook and chain', 'value' => 11.5, 'unit' => 'N', 'u' => 0.3],
            ],
            'tools' => ['Feeler gauge', '13 mm spanner'], 'reference' => 'W-02', 'setUpMinutes' => 30.0, 'resetMinutes' => 10.0,
            'usesUp' => [$uses('article', 'handle bracket')],
        ],
        'm-drop' => [
            'tools' => ['Release line, 3 m'], 'setUpMinutes' => 15.0, 'resetMinutes' => 10.0, 'changeMinutes' => 4.0, 'use' => 'use-hire',
            'carries' => [['what' => 'drop height', 'text' => '1 m'], ['what' => 'mass', 'text' => '10.2 kg']],
            'usesUp' => [$uses('load', 'hopper of seed'), $uses('material', 'seed', 3.0, 'kg')],
        ],
        'm-driver' => [
            'tools' => ['Fuse 7.5 A, two spare'], 'setUpMinutes' => 15.0, 'resetMinutes' => 5.0,
            'ready' => [['what' => 'driver is at room temperature', 'minutes' => 90.0]],
            'looks' => [['what' => 'supply current', 'every' => 10.0, 'after' => null, 'at' => ''], [
                'what' => 'smell at the housing', 'every' => null, 'after' => 30.0, 'at' => '',
            ]],
        ],
        'm-battery' => [
            'ready' => [['what' => 'battery was charged for eight hours', 'minutes' => null]], 'setUpMinutes' => 10.0,
            'resetMinutes' => 10.0,
        ],
        'm-rating' => [
            'before' => [$first('Push force on a raked bed', 'by the team before by growers')],
            'usesUp' => [$uses('visit', 'a grower', 0.33), $uses('money', 'thanks to the grower', 5.0, 'EUR')],
        ],
    ];
}

function wrenRevisions(Story $s): void
{
    $revisions = [
        ['A', null, '', 'Does a printed plate pick up single seeds at all?', '0.1', 'built', '', '2026-03-02'],
        ['B', 'A', '', 'Slimmer frame, five cells more on the plate', '0.2', 'built', '', '2026-03-28'],
        ['C', 'B', '', 'Antistatic plate and an aluminium bracket', '0.3', 'built', '', '2026-04-30'],
        ['D', 'C', '', 'Brush singulator, gusset on the bracket', '0.4', 'built', '', '2026-06-08'],
        ['D′', 'C', 'rubber lip', 'Rubber lip in place of the brush, as a contender', '0.4', 'abandoned', 'Fewer doubles than the brush, but it drags: 9 N more to push, and the lip wore through in two days. Would come back with a lip that lasts a season.', '2026-06-12'],
        ['E', 'D', '', 'Acetal plate against swelling, cooler driver', '0.5', 'built', '', '2026-08-03'],
        ['E′', 'E', 'cell shapes', 'Five cell shapes in one build, before the next plate is cut', '0.5', 'built', '', '2026-09-20'],
        ['F', 'E', '', 'Deeper cells, riveted gusset, quick-change lid', '0.6', 'building', '', '2026-10-12'],
    ];
    foreach ($revisions as [$letter, $parent, $branch, $intent, $firmware, $state, $reason, $day]) {
        $s->add('revisions', ['id' => 'rev-'.$letter, 'device' => 'wren', 'parent' => $parent === null ? null : 'rev-'.$parent, 'letter' => $letter, 'branch' => $branch, 'intent' => $intent, 'firmware' => 'fw '.$firmware, 'state' => $state, 'stateReason' => $reason] + ($letter === 'E′' ? ['arms' => wrenShapes(), 'chosenArm' => 'bevelled'] : []), $day.'T08:00:00+00:00', 'Tobias Lind');
    }
    $parameters = [
        'cell depth' => ['mm', 2, ['A' => 1.60, 'B' => 1.60, 'C' => 1.60, 'D' => 1.60, 'D′' => 1.60, 'E' => 1.60, 'F' => 1.85]],
        'cells on the plate' => ['count', 0, ['A' => 20, 'B' => 25, 'C' => 25, 'D' => 25, 'D′' => 25, 'E' => 25, 'F' => 25]],
        'plate thickness' => ['mm', 1, ['A' => 3.0, 'B' => 3.0, 'C' => 3.0, 'D' => 3.0, 'D′' => 3.0, 'E' => 3.2, 'F' => 3.2]],
        'bracket thickness' => ['mm', 1, ['A' => 2.0, 'B' => 2.0, 'C' => 3.0, 'D' => 3.0, 'D′' => 3.0, 'E' => 3.0, 'F' => 3.0]],
        'brush gap' => ['mm', 1, ['D' => 1.0, 'E' => 0.8, 'F' => 0.8]],
        'driver current limit' => ['A', 1, ['C' => 2.2, 'D' => 2.2, 'D′' => 2.2, 'E' => 1.6, 'F' => 1.6]],
        'mass without seed' => ['kg', 2, ['A' => 7.40, 'B' => 6.85, 'C' => 6.90, 'D' => 7.15, 'D′' => 7.05, 'E' => 7.20, 'F' => 7.05]],
        'wheel diameter' => ['mm', 0, ['A' => 310, 'B' => 310, 'C' => 330, 'D' => 330, 'D′' => 330, 'E' => 330, 'F' => 330]],
    ];
    foreach ($parameters['wheel diameter'][2] + ['E′' => 330] as $letter => $wheel) {
        // Each as uncertain as its last digit, step/√12; the cells were counted.
        $cells = $parameters['cells on the plate'][2][$letter === 'E′' ? 'E' : $letter];
        $s->add('parameters', ['revision' => 'rev-'.$letter, 'name' => 'way per cell', 'measure' => ['value' => M_PI * $wheel / $cells, 'unit' => 'mm', 'resolution' => null], 'u' => M_PI / sqrt(12) / $cells, 'formula' => 'pi * wheel diameter / cells on the plate', 'formulaUnit' => 'mm'], '2026-03-02T09:05:00+00:00', 'Tobias Lind');
    }
    foreach (['A', 'B', 'C', 'D', 'D′', 'E', 'E′', 'F'] as $letter) {
        $s->add('parameters', ['revision' => 'rev-'.$letter, 'name' => 'cell shape', 'words' => 'round', 'measure' => ['value' => 0.0, 'unit' => '1', 'resolution' => null]], '2026-03-02T09:00:00+00:00', 'Tobias Lind');
    }
    foreach ($parameters as $name => [$unit, $decimals, $values]) {
        foreach ($values + ['E′' => $values['E']] as $letter => $value) {
            $s->add('parameters', ['revision' => 'rev-'.$letter, 'name' => $name, 'measure' => ['value' => (float) $value, 'unit' => $unit, 'resolution' => 10.0 ** -$decimals]], '2026-03-02T09:00:00+00:00', 'Tobias Lind');
        }
    }
    $parts = [
        ['Frame', 'steel tube', 1, ['A' => 31.0, 'B' => 26.5, 'C' => 26.5, 'D' => 26.5, 'D′' => 26.5, 'E' => 26.5, 'F' => 26.5]],
        ['Seed plate', ['A' => 'printed PLA', 'B' => 'PVC sheet', 'C' => 'PVC sheet, antistatic', 'D' => 'PVC sheet, antistatic', 'D′' => 'PVC sheet, antistatic', 'E' => 'acetal sheet', 'F' => 'acetal sheet'], 3, ['A' => 2.2, 'B' => 3.4, 'C' => 4.1, 'D' => 4.1, 'D′' => 4.1, 'E' => 5.2, 'F' => 5.9]],
        [
            'Singulator', ['D' => 'nylon brush', 'D′' => 'rubber lip', 'E' => 'nylon brush', 'F' => 'nylon brush'], 1,
            ['D' => 3.9, 'D′' => 2.6, 'E' => 3.9, 'F' => 3.9],
        ],
        ['Handle bracket', ['A' => 'steel 2 mm', 'B' => 'steel 2 mm', 'C' => 'aluminium 3 mm', 'D' => 'aluminium 3 mm, welded gusset', 'D′' => 'aluminium 3 mm, welded gusset', 'E' => 'aluminium 3 mm, welded gusset', 'F' => 'aluminium 3 mm, riveted gusset'], 2, ['A' => 3.1, 'B' => 3.1, 'C' => 4.4, 'D' => 7.2, 'D′' => 7.2, 'E' => 7.2, 'F' => 5.6]],
        ['Hopper', 'polyethylene', 1, ['A' => 8.0, 'B' => 8.0, 'C' => 8.0, 'D' => 9.5, 'D′' => 9.5, 'E' => 9.5, 'F' => 11.2]],
        ['Stepper motor', '', 1, ['A' => 14.9, 'B' => 14.9, 'C' => 14.9, 'D' => 14.9, 'D′' => 14.9, 'E' => 14.9, 'F' => 14.9]],
        ['Driver board', '', 1, ['A' => 9.8, 'B' => 9.8, 'C' => 16.4, 'D' => 16.4, 'D′' => 16.4, 'E' => 19.7, 'F' => 19.7]],
        ['Optical gate', '', 1, ['B' => 6.2, 'C' => 6.2, 'D' => 6.2, 'D′' => 6.2, 'E' => 6.2, 'F' => 6.2]],
        ['Battery 12 V 7 Ah', '', 1, ['A' => 24.0, 'B' => 24.0, 'C' => 24.0, 'D' => 24.0, 'D′' => 24.0, 'E' => 24.0, 'F' => 24.0]],
        ['Ground wheel', 'rubber on steel', 1, [
            'A' => 12.5, 'B' => 12.5, 'C' => 15.8, 'D' => 15.8, 'D′' => 15.8, 'E' => 15.8, 'F' => 15.8,
        ]],
        ['Fasteners and wire', '', 1, ['A' => 9.0, 'B' => 9.0, 'C' => 9.6, 'D' => 10.4, 'D′' => 10.4, 'E' => 10.4, 'F' => 11.1]],
    ];
    // In grams; nobody weighed the wire.
    $masses = [
        'Frame' => 2310.0, 'Seed plate' => 84.0, 'Singulator' => 62.0, 'Handle bracket' => 148.0, 'Hopper' => 640.0,
        'Stepper motor' => 385.0, 'Driver board' => 71.0, 'Optical gate' => 46.0, 'Battery 12 V 7 Ah' => 2150.0,
        'Ground wheel' => 890.0,
    ];
    foreach ($parts as [$name, $material, $quantity, $costs]) {
        foreach ($costs + ['E′' => $costs['E']] as $letter => $cost) {
            $s->add('parts', ['revision' => 'rev-'.$letter, 'name' => $name, 'material' => is_array($material) ? $material[$letter === 'E′' ? 'E' : $letter] : $material, 'quantity' => (float) $quantity, 'cost' => $cost, 'note' => '', 'mass' => $masses[$name] ?? null] + match (true) {
                $name === 'Optical gate' => ['moduleName' => 'Seedeye '.(in_array($letter, ['E', 'E′', 'F'], true) ? 'B' : 'A')],
                $name === 'Ground wheel' => ['reliedOn' => 'Bram Achterberg'],
                default => [],
            }, '2026-03-02T09:10:00+00:00', 'Tobias Lind');
        }
    }
    $s->add('parts', ['revision' => 'rev-F', 'name' => 'Strap over the lid', 'material' => 'rubber', 'quantity' => 1.0, 'cost' => 0.8, 'note' => 'Until the quick-change lid has a catch of its own', 'mass' => 12.0, 'standing' => 'forNow'], '2026-10-05T09:10:00+00:00', 'Tobias Lind');
    $units = [
        ['W-01', 'A', ['plate sheet: printed'], 'Plate printed in two halves and glued.', 'mockup'],
        ['W-02', 'B', ['plate sheet: P-11'], '', 'bare'],
        ['W-03', 'B', ['plate sheet: P-11'], 'Wheel fork bent by 2 mm and straightened.', 'finished'],
        ['W-04', 'C', ['plate sheet: P-23'], '', 'finished'],
        ['W-05', 'C', ['plate sheet: P-23'], 'Antistatic coat thin on one side.', 'finished'],
        ['W-06', 'D', ['plate sheet: P-31', 'brush: B-2'], '', 'finished'],
        [
            'W-07', 'D', ['plate sheet: P-33', 'brush: B-2'],
            'Plate sheet from another batch than W-06; nobody noticed until September.', 'finished',
        ],
        ['W-08', 'D′', ['plate sheet: P-31', 'lip: L-1'], '', 'finished'],
        ['W-09', 'E', ['plate sheet: Q-02', 'brush: B-2'], '', 'finished'],
        ['W-10', 'E', ['plate sheet: Q-02', 'brush: B-4'], 'Brush from a new batch, a little stiffer.', 'finished'],
        ['W-11', 'F', ['plate sheet: Q-07', 'brush: B-4'], '', 'finished'],
    ];
    foreach ($units as [$serial, $letter, $lots, $deviations, $state]) {
        $s->add('articles', ['id' => $serial, 'revision' => 'rev-'.$letter, 'serial' => $serial, 'lots' => $lots, 'deviations' => $deviations, 'state' => $state], '2026-03-03T10:00:00+00:00', 'Tobias Lind');
    }
    foreach (['round', 'oval', 'bevelled', 'slot'] as $i => $shape) {
        $s->add('articles', ['id' => 'P-0'.($i + 1), 'revision' => 'rev-E′', 'serial' => 'P-0'.($i + 1), 'lots' => ['plate sheet: Q-05'], 'deviations' => '', 'state' => 'bare', 'arm' => $shape, 'whereabouts' => $shape === 'slot' ? 'scrapped' : 'here'], '2026-09-21T10:00:00+00:00', 'Tobias Lind');
    }
}

/** @return array<string, array{layout: array<string, mixed>}> how the runs of some trials are laid out */
function wrenLayouts(): array
{
    $layout = static fn (string $kind, array $levels, array $arms, int $repeats, string $order, array $leftOut = []): array => ['layout' => [
        'kind' => $kind,
        'levels' => array_map(
            static fn (string $name, array $of): array => ['name' => $name, 'levels' => $of], array_keys($levels), $levels,
        ),
        'arms' => $arms, 'repeats' => $repeats, 'order' => $order, 'seed' => 7, 'leftOut' => $leftOut,
    ]];

    return [
        't-belt-F' => $layout('sweep', ['seed' => ['small', 'large']], [], 8, 'blocks'),
        't-drop-D' => $layout('ladder', ['drop height' => ['0.5 m', '0.75 m', '1 m']], [], 3, 'asGiven'),
        't-drop-F2' => $layout('ladder', ['drop height' => ['0.5 m', '0.75 m', '1 m']], [], 2, 'asGiven'),
        't-gap-E' => ['layout' => ['kind' => 'setting', 'setting' => 'brush gap']],
        't-shapes-E' => $layout('matrix', [], ['round', 'oval', 'bevelled', 'slot'], 8, 'blocks', [
            ['levels' => [], 'arm' => 'keyhole', 'reason' => 'Beet seed wedges in the neck, seen by hand before a plate was cut.'],
        ]),
    ];
}

/** @return list<array<string, mixed>> five cell shapes that are compared within one build */
function wrenShapes(): array
{
    $arm = static fn (string $name, string $eliminated = ''): array => [
        'name' => $name, 'values' => [['name' => 'cell shape', 'text' => $name]], 'planned' => 1, 'eliminated' => $eliminated,
    ];

    return [$arm('round'), $arm('oval'), $arm('bevelled'), $arm('slot'), $arm(
        'keyhole', 'Beet seed wedges in the neck, seen by hand before a plate was cut.',
    )];
}

function wrenTrials(Story $s): void
{
    $trial = static fn (string $id, string $letter, string $method, string $name, string $question, int $planned, string $day, string $repeats = 'estimate', string $state = 'done'): string => $s->add('trials', ['id' => $id, 'revision' => 'rev-'.$letter, 'method' => $method, 'name' => $name, 'question' => $question, 'plannedRuns' => $planned, 'repeats' => $repeats, 'state' => $state, 'override' => null] + (wrenLayouts()[$id] ?? []), $day.'T07:30:00+00:00', 'Yusuf Brandt');
    $at = static fn (string $day, int $minute): string => gmdate(DATE_ATOM, (int) strtotime($day.' 08:00 UTC') + 60 * $minute);
    $found = static fn (array $pairs): array => array_map(
        static fn (string $n, string $t): array => ['name' => $n, 'text' => $t], array_keys($pairs), array_values($pairs),
    );

    // Spacing on the belt: revision => day, units, runs, error, misses, doubles, humidity, gap
    $belt = [
        ['A', '2026-03-05', ['W-01'], 8, 24.1, 8.4, 11.2, 48, null], ['B', '2026-04-02', ['W-02', 'W-03'], 10, 19.2, 6.1, 10.6, 52, null],
        ['C', '2026-05-06', ['W-04', 'W-05'], 12, 18.0, 5.4, 9.9, 61, null],
        ['D', '2026-06-15', ['W-06', 'W-07'], 16, 14.6, 4.2, 5.3, 66, 1.0],
        ['D′', '2026-06-18', ['W-08'], 10, 14.1, 5.0, 3.4, 64, null], ['E', '2026-08-11', ['W-09', 'W-10'], 20, 12.7, 3.1, 3.6, 57, 0.8],
        ['F', '2026-10-20', ['W-11'], 16, 11.1, 2.6, 3.3, 44, 0.8],
    ];
    foreach ($belt as [$letter, $day, $units, $runs, $error, $misses, $doubles, $humidity, $gap]) {
        $id = $trial(
            't-belt-'.$letter, $letter, 'm-belt', 'Belt, '.($letter === 'F' ? 'both seed sizes' : 'standard pace'),
            'How even is the spacing at walking pace?', $runs, $day,
        );
        for ($i = 0; $i < $runs; ++$i) {
            $damp = Story::normal($humidity, 4);
            // The PVC plates swell in damp air, which is what makes the doubles; nobody knew until D.
            $swell = in_array($letter, ['B', 'C', 'D', 'D′'], true) ? 0.11 * ($damp - 55) : 0.0;
            $large = $letter === 'F' ? $i % 2 === 1 : ($letter !== 'A' && $i % 3 === 2);
            $unknown = $letter === 'C' && $i >= 7;
            $moved = $letter === 'E' && $i === 13;
            $gapText = $gap === null ? [] : ['brush gap' => ($moved ? '1.4 mm' : number_format($gap + ($letter === 'E' || $letter === 'F' ? Story::normal(0, 0.03) : 0), 1).' mm')];
            $run = [
                'operator' => $i % 2 === 0 ? 'Yusuf Brandt' : 'Ines Caldeira',
                'levels' => $found(['seed' => $large ? 'large' : 'small']),
                'conditions' => $found(['humidity' => $unknown ? 'unknown' : round($damp).' %']),
                'settings' => $found($gapText), 'note' => '',
            ];
            if ($moved) {
                $run += ['outcome' => 'failed', 'outcomeReason' => 'Doubles all over after the unit came back from the field'];
            }
            if ($letter === 'B' && $i === 4) {
                $run += ['outcome' => 'void', 'outcomeReason' => 'Belt ran off its rollers after 60 seeds'];
            }
            if ($letter === 'F' && $i < 4) {
                $run['firmware'] = 'fw 0.5';
                $run['note'] = 'Still on the firmware of E: the new one was not ready.';
            }
            $old = $letter === 'F' && $i < 4 ? 0.9 : 0.0;
            $s->run($id, $units[$i % count($units)], $at($day, 14 * $i), $run, [
                'cv' => [max(5, Story::normal($error + $old + ($large ? -0.5 : 0.2) + 0.35 * $swell, 0.055 * $error)), 1],
                'misses' => [max(0.1, Story::normal($misses, 0.14 * $misses)), 1],
                'doubles' => [max(0.1, Story::normal($doubles + $swell + ($moved ? 9.0 : 0), 0.12 * $doubles)), 1],
            ]);
        }
    }

    // The brush gap of E was found in an evening, before anything was counted.
    $id = $trial('t-gap-E', 'E', 'm-gap', 'Which gap?', 'Which gap lets one seed at a time past?', 0, '2026-08-10');
    foreach ([['0.2 mm', 'low'], ['2 mm', 'high'], ['1.1 mm', 'high'], ['0.7 mm', 'low'], ['0.9 mm', 'high'], ['0.8 mm', 'good']] as $i => [$gap, $stands]) {
        $s->run($id, 'W-09', $at('2026-08-10', 9 * $i), [
            'operator' => 'Tobias Lind', 'conditions' => $found(['humidity' => '56 %']),
            'settings' => $found(['brush gap' => $gap]), 'note' => '', 'stands' => $stands,
        ], []);
    }

    // Push force: revision => day, units, runs, mean on dry level ground
    foreach ([['B', '2026-04-08', ['W-03'], 4, 46.0], ['C', '2026-05-12', ['W-04'], 6, 43.5], ['D', '2026-06-22', ['W-06', 'W-07'], 10, 41.8], ['D′', '2026-06-24', ['W-08'], 6, 51.0], ['E', '2026-08-19', ['W-09', 'W-10'], 12, 41.2], ['F', '2026-10-27', ['W-11'], 8, 39.4]] as [$letter, $day, $units, $runs, $mean]) {
        $id = $trial('t-push-'.$letter, $letter, 'm-push', 'Bed, three passes each', 'How hard is it to push?', $runs, $day);
        for ($i = 0; $i < $runs; ++$i) {
            $moist = $letter === 'C' || ($letter !== 'B' && $i % 2 === 1);
            $slope = in_array($letter, ['D', 'E'], true) && $i % 5 === 4;
            $water = $moist ? Story::normal(24, 1.5) : Story::normal(11, 1.2);
            $force = Story::normal($mean + ($moist ? 2.4 : -0.8) + ($slope ? 4.0 : 0), 1.7);
            $run = ['operator' => ['Yusuf Brandt', 'Tobias Lind'][$i % 2], 'conditions' => $found(['soil' => $moist ? 'moist' : 'dry', 'ground' => $slope ? 'slope' : 'level', 'soil moisture' => $letter === 'B' ? 'unknown' : round($water).' %']), 'settings' => [], 'note' => ''];
            if ($letter === 'E' && $i === 6) {
                $run['note'] = 'Lustrum asked whether this was kgf. It was: somebody had leaned on the unit button.';
                $s->run($id, $units[0], $at($day, 18 * $i), $run, ['push' => [4.1, 1]]);
                $s->amendLast(40.2, 'N', 0.1, 'The load cell was showing kgf', 'Yusuf Brandt', $at($day, 18 * $i + 3));
                continue;
            }
            $s->run($id, $units[$i % count($units)], $at($day, 18 * $i), $run, [
                'push' => $letter === 'C' && $i === 2 ? [$force / 4.4482216, 1, 'lbf'] : [$force, 1],
            ]);
        }
    }

    // Bracket to failure: fresh bracket each; on E two were only proved.
    foreach ([['A', '2026-03-09', 2, 262.0], ['B', '2026-04-10', 3, 268.0], ['C', '2026-05-15', 5, 352.0], ['D', '2026-06-25', 6, 448.0], ['E', '2026-08-24', 5, 452.0], ['F', '2026-11-02', 5, 404.0]] as [$letter, $day, $runs, $mean]) {
        $id = $trial('t-bracket-'.$letter, $letter, 'm-bracket', 'Bracket, a fresh one each time', 'Where does it break?', $runs, $day);
        for ($i = 0; $i < $runs; ++$i) {
            $stopped = $letter === 'E' && $i >= 3;
            $load = Story::normal($mean, 15);
            $cracked = !$stopped && $load < 400;
            $s->run($id, '', $at($day, 30 * $i), [
                'operator' => 'Tobias Lind', 'ended' => $stopped ? 'endPoint' : 'event',
                'conditions' => $found(['room temperature' => round(Story::normal($letter === 'D' ? 23 : 20, 0.7)).' °C']),
                'settings' => [], 'note' => '',
            ] + ($stopped ? ['note' => 'Proof load reached; bracket kept for the field unit'] : []) + ($cracked ? ['outcome' => 'failed', 'outcomeReason' => 'Cracked before 400 N'] : []) + ['answers' => [['question' => 'carries', 'answer' => $cracked ? 'failed' : 'held', 'note' => '']]], ['load' => [$stopped ? 410.0 + $i : $load, 0]]);
        }
    }

    // Drop ladder: a fresh hopper for each try. E and F both pass the highest rung: nothing told apart.
    $ladder = [
        'B' => ['2026-04-14', [[0.5, 1, 1], [0.75, 0, 2]]], 'C' => ['2026-05-19', [[0.5, 2, 2], [0.75, 1, 2], [1.0, 0, 1]]],
        'D' => ['2026-06-29', [[0.5, 2, 2], [0.75, 3, 3], [1.0, 2, 3]]], 'E' => ['2026-08-27', [[0.75, 3, 3], [1.0, 6, 6]]],
        'F' => ['2026-11-05', [[0.75, 3, 3], [1.0, 6, 6]]],
    ];
    foreach ($ladder as $letter => [$day, $rungs]) {
        $id = $trial(
            't-drop-'.$letter, $letter, 'm-drop', 'Drop ladder to 1 m', 'From which height does the full hopper still seed?',
            array_sum(array_column($rungs, 2)), $day, $letter === 'B' ? 'ruleOutLuck' : 'estimate',
        );
        $n = 0;
        foreach ($rungs as [$height, $held, $tried]) {
            for ($i = 0; $i < $tried; ++$i) {
                $lost = $letter === 'D' && $height === 1.0 && $i === 1;
                $good = $i < $held;
                $s->run($id, ['B' => 'W-02', 'C' => 'W-05', 'D' => 'W-07', 'E' => 'W-10', 'F' => 'W-11'][$letter], $at($day, 22 * $n++), [
                    'operator' => 'Tobias Lind', 'levels' => $found(['drop height' => number_format($height, 2).' m']),
                    'conditions' => $found(['surface' => 'packed soil']), 'settings' => [], 'note' => '',
                ] + ($lost ? ['outcome' => 'lost', 'outcomeReason' => 'Hopper slid off the bench before the drop'] : ($good ? [] : ['outcome' => 'failed', 'outcomeReason' => 'Hopper seam split, seed on the ground'])), []);
            }
        }
    }

    // Driver temperature: C and D at 24 °C, E and F at 30 °C in the heated box.
    foreach ([['C', '2026-05-21', ['W-04'], 3, 84.0, 24], ['D', '2026-07-02', ['W-06'], 5, 82.5, 24], ['E', '2026-08-31', ['W-09', 'W-10'], 5, 71.5, 30], ['F', '2026-11-09', ['W-11'], 4, 72.8, 30]] as [$letter, $day, $units, $runs, $mean, $ambient]) {
        $id = $trial('t-driver-'.$letter, $letter, 'm-driver', 'Driver, 60 minutes', 'How hot is the driver after an hour?', $runs, $day);
        for ($i = 0; $i < $runs; ++$i) {
            $clock = $letter === 'F' ? ['clockAt' => $at($day, 80 * $i + 2), 'lasted' => 3600.0 + 0.4 * $i] : [];
            $run = $s->run($id, $units[$i % count($units)], $at($day, 80 * $i), $clock + ['operator' => 'Ines Caldeira', 'conditions' => $found(['ambient' => number_format(Story::normal($ambient, 0.4), 1).' °C']), 'settings' => [], 'note' => ''], ['temp' => [Story::normal($mean, 1.2), 1]]);
            if ($letter === 'F' && $i === 1) {
                wrenOddThings($s, $run, $at($day, 80 * $i + 34));
                wrenCourse($s, $run, $at($day, 80 * $i + 66));
            }
        }
    }

    // Battery: some days ended before the battery did.
    foreach ([['D', '2026-07-07', 'W-06', [[5.4, true], [5.6, true], [5.2, true]]], ['E', '2026-09-04', 'W-09', [[6.9, true], [7.1, true], [6.5, false], [6.8, true]]], ['F', '2026-11-12', 'W-11', [[6.2, false], [6.0, false], [7.0, true]]]] as [$letter, $day, $unit, $runs]) {
        $id = $trial('t-battery-'.$letter, $letter, 'm-battery', 'One charge', 'How long does a charge last?', count($runs), $day);
        foreach ($runs as $i => [$hours, $emptied]) {
            $s->run($id, $unit, $at($day, 1440 * $i), ['operator' => 'Ines Caldeira', 'conditions' => $found(['battery' => $letter === 'D' ? 'used one season' : 'new', 'ambient' => round(Story::normal($letter === 'F' ? 12 : 21, 1)).' °C']), 'settings' => [], 'note' => ''] + ($emptied ? [] : ['outcome' => 'stoppedEarly', 'outcomeReason' => 'The day ended; the battery was still alive']), ['time' => [$hours, 1]]);
        }
    }

    foreach ([['C', '2026-05-26', 'W-05', 3, 168.0], ['D', '2026-07-10', 'W-07', 5, 151.0], ['E', '2026-09-08', 'W-10', 5, 147.0], ['F', '2026-11-14', 'W-11', 5, 104.0]] as [$letter, $day, $unit, $runs, $mean]) {
        $id = $trial('t-change-'.$letter, $letter, 'm-change', 'Seed change, thick gloves', 'How long does a change take?', $runs, $day);
        for ($i = 0; $i < $runs; ++$i) {
            $s->run($id, $unit, $at($day, 12 * $i), ['operator' => ['Maren Okafor', 'Yusuf Brandt', 'Tobias Lind'][$i % 3], 'conditions' => $found(['gloves' => 'thick']), 'settings' => [], 'note' => ''], ['time' => [Story::normal($mean, 9), 0]]);
        }
    }

    foreach ([['D', '2026-07-14', 'W-06', [50, 74, 57, 90, 54, 71]], ['E', '2026-09-12', 'W-09', [58, 80, 65, 95, 62, 78]]] as [$letter, $day, $unit, $ratings]) {
        $id = $trial('t-rating-'.$letter, $letter, 'm-rating', 'Six growers, blind', 'How do growers like the handling?', 6, $day);
        foreach ($ratings as $i => $rating) {
            $s->run($id, $unit, $at($day, 25 * $i), ['operator' => 'Maren Okafor', 'levels' => $found(['grower' => 'Grower '.($i + 1)]), 'conditions' => $found(['soil' => 'moist']), 'settings' => [], 'note' => ''], ['rating' => [(float) $rating, 0]]);
        }
    }

    wrenShapeTrial($s, $trial, $at, $found);
    wrenTruckBed($s, $trial, $at, $found);
    wrenRework($s, $trial, $at, $found);

    $s->add(
        'happenings',
        ['article' => 'W-11', 'kind' => 'transported', 'at' => '2026-11-19T06:40:00+00:00', 'note' => 'in the trailer, up the lane'],
        '2026-11-19T06:40:00+00:00', 'Yusuf Brandt',
    );
    // The brush has not been looked at since W-11 came back from the lane.
    $id = $trial(
        't-lane-F', 'F', 'm-belt', 'Belt after the lane', 'Did the lane shake anything loose?', 3, '2026-11-20', 'ruleOutLuck',
        'running',
    );
    $s->run($id, 'W-11', $at('2026-11-20', 0), ['operator' => 'Yusuf Brandt', 'outcome' => null, 'levels' => $found(['seed' => 'small']), 'conditions' => [], 'settings' => [], 'note' => '', 'forecast' => [['name' => 'cv', 'text' => '8-11']]], []);

    // Two runs that were begun this week and are not finished.
    $trial(
        't-drop-F2', 'F', 'm-drop', 'Drop ladder with the strap off', 'Does the lid hold without the strap?', 6, '2026-11-19',
        'ruleOutLuck', 'planned',
    );
    $id = $trial(
        't-slope-F', 'F', 'm-push', 'Slope behind the barn', 'Does it still push under 45 N on the slope?', 6, '2026-11-18',
        'estimate', 'running',
    );
    foreach ([41.9, 43.4] as $i => $force) {
        $s->run($id, 'W-11', $at('2026-11-18', 18 * $i), ['operator' => 'Yusuf Brandt', 'conditions' => $found(['soil' => 'dry', 'ground' => 'slope', 'soil moisture' => '']), 'settings' => [], 'note' => ''] + ($i === 1 ? ['outcome' => null] : []), ['push' => [$force, 1]]);
    }
}

/** How the driver warmed up over its hour, read off the logger every four minutes. */
function wrenCourse(Story $s, string $run, string $at): void
{
    $lines = array_map(
        static fn (int $m): string => sprintf('%d; %.1f', $m, 72.6 - 42.4 * exp(-$m / 13.0) + 0.4 * sin($m)), range(0, 60, 4),
    );
    $s->add('courses', ['run' => $run, 'name' => 'driver temperature', 'text' => implode("\n", $lines), 'unit' => '°C', 'timeUnit' => 'min', 'marks' => [
        ['kind' => 'first', 'value' => 60.0, 'from' => null, 'to' => null],
        ['kind' => 'peak', 'value' => null, 'from' => null, 'to' => null],
        ['kind' => 'mean', 'value' => null, 'from' => 2400.0, 'to' => 3600.0],
        ['kind' => 'standard', 'value' => 60.0, 'from' => null, 'to' => null, 'start' => 20.0, 'around' => null],
    ]], $at, 'Ines Caldeira');
}

/** What was marked and what was odd on a run of the driver; one of them is explained. */
function wrenOddThings(Story $s, string $run, string $at): void
{
    foreach ([
        ['Current settles at 1.4 A', 724.0, false, ''],
        ['Smell at the housing, gone after a minute', 1871.5, true, 'Varnish of the new box heater; not there on the bench alone'],
        ['Temperature falls by two degrees by itself', 2406.0, true, ''],
    ] as [$text, $after, $odd, $explained]) {
        $s->add('observations', ['revision' => 'rev-F', 'run' => $run, 'text' => $text, 'saidBy' => '', 'after' => $after, 'odd' => $odd, 'explained' => $explained], $at, 'Ines Caldeira');
    }
}

/** Four of the five shapes over four seed lots: the lots differ far more than the shapes do. */
function wrenShapeTrial(Story $s, callable $trial, callable $at, callable $found): void
{
    $id = $trial(
        't-shapes-E', 'E′', 'm-shapes', 'Cell shapes on four lots of seed', 'Which cell takes up the fewest pairs?', 32,
        '2026-09-23',
    );
    $n = 0;
    foreach (['radish R-4' => 3.0, 'carrot C-9' => 6.4, 'onion O-2' => 4.6, 'beet B-7' => 2.2] as $lot => $doubles) {
        foreach (['round' => 0.0, 'oval' => -0.1, 'bevelled' => -0.9, 'slot' => 0.7] as $shape => $more) {
            $plate = 'P-0'.(1 + (int) array_search($shape, ['round', 'oval', 'bevelled', 'slot'], true));
            for ($i = 0; $i < 2; ++$i) {
                $isLost = $shape === 'slot' && $lot === 'onion O-2' && $i === 0;
                if ($shape === 'slot' && !$isLost && in_array($lot, ['onion O-2', 'beet B-7'], true)) {
                    continue;
                }
                $run = ['operator' => 'Ines Caldeira', 'levels' => $found(['seed lot' => $lot]), 'conditions' => $found(['humidity' => '46 %']), 'settings' => [], 'note' => '']
                    + ($isLost ? ['outcome' => 'lost', 'outcomeReason' => 'The plate fell on the floor and cracked on the way to the rig'] : []);
                $s->run($id, $plate, $at('2026-09-23', 11 * $n++), $run, $isLost ? [] : ['doubles' => [
                    max(0.1, Story::normal($doubles + $more, 0.22)), 1,
                ]]);
            }
        }
    }
}

/** Harder than the ladder was meant to go: what E failed here, F has only been tried at something milder. */
function wrenTruckBed(Story $s, callable $trial, callable $at, callable $found): void
{
    $id = $trial('t-drop-E-truck', 'E', 'm-drop', 'Off the truck bed, 1.2 m', 'Does it stand a truck too?', 2, '2026-09-02');
    foreach ([true, false] as $i => $good) {
        $s->run($id, 'W-10', $at('2026-09-02', 22 * $i), [
            'operator' => 'Tobias Lind', 'levels' => $found(['drop height' => '1.20 m']),
            'conditions' => $found(['surface' => 'packed soil']), 'settings' => [], 'note' => '',
        ] + ($good ? [] : ['outcome' => 'failed', 'outcomeReason' => 'Hopper seam split, seed on the ground']), []);
    }
}

/** W-09 is made into an F: its past goes along, and it shows what W-11 alone could not. */
function wrenRework(Story $s, callable $trial, callable $at, callable $found): void
{
    $s->rework('W-09', 'rev-F');
    foreach ($s->lists['articles'] as $i => $row) {
        if ($row['id'] === 'W-09') {
            $s->lists['articles'][$i] = ['deviants' => [['kind' => 'part', 'name' => 'Hopper', 'value' => 'old']], 'deviations' => 'Reworked from E: plate, lid and hubs are new, the hopper is as it was.'] + $row;
        }
        if ($row['id'] === 'W-11') {
            // Lent for the autumn sowing: no trial, but it bounds what would have shown.
            $s->lists['articles'][$i] = ['uses' => [[
                'day' => '2026-11-16', 'howLong' => '34 beds', 'what' => 'autumn sowing of two growers', 'wrong' => 'nothing',
                'without' => ['Hopper seam split'], 'method' => 'Full hopper drop', 'levels' => ['drop height: 0.5 m'],
            ]]] + $row;
        }
    }
    $id = $trial('t-push-F-reworked', 'F', 'm-push', 'Bed, the reworked one', 'Is it the build, or W-11?', 4, '2026-11-10');
    foreach ([[38.6, 'dry', 11], [41.4, 'moist', 23], [38.1, 'dry', 12], [42.0, 'moist', 25]] as $i => [$force, $soil, $water]) {
        $s->run($id, 'W-09', $at('2026-11-10', 18 * $i), ['operator' => ['Yusuf Brandt', 'Tobias Lind'][$i % 2], 'conditions' => $found(['soil' => $soil, 'ground' => 'level', 'soil moisture' => $water.' %']), 'settings' => [], 'note' => ''], ['push' => [$force, 1]]);
    }
}

function wrenFindings(Story $s): void
{
    // Every failed run has its failure; further ones were seen outside of runs.
    $n = 0;
    foreach ($s->lists['runs'] as $run) {
        if (($run['outcome'] ?? '') !== 'failed' || str_starts_with((string) $run['trial'], 't-bracket')) {
            continue;
        }
        $letter = (string) $s->find('revisions', (string) $s->find('trials', (string) $run['trial'])['revision'])['letter'];
        $drop = str_starts_with((string) $run['trial'], 't-drop');
        $s->add('failures', ['id' => 'fail-'.++$n, 'revision' => 'rev-'.$letter, 'run' => $run['id'], 'article' => $run['article'], 'question' => $drop ? 'held' : '', 'mode' => $drop ? 'Hopper seam split' : 'Double seeds', 'place' => $drop ? 'hopper, rear seam' : 'seed plate', 'consequence' => $drop ? 'major' : 'minor', 'stage' => $drop ? 'landing' : 'sowing', 'note' => ''], (string) $run['startedAt'], (string) $run['operator']);
    }
    $bracketRuns = static fn (string $letter): array => array_values(array_filter(
        $s->lists['runs'], static fn (array $r): bool => $r['trial'] === 't-bracket-'.$letter && $r['outcome'] === 'failed',
    ));
    foreach (['A' => 1, 'B' => 2, 'C' => 3, 'F' => 2] as $letter => $count) {
        foreach (array_slice($bracketRuns($letter), 0, $count) as $run) {
            $s->add('failures', ['id' => 'bracket-'.$letter.'-'.++$n, 'revision' => 'rev-'.$letter, 'run' => $run['id'], 'article' => null, 'mode' => 'Bracket cracked', 'place' => $letter === 'F' ? 'handle bracket, at the rivets' : 'handle bracket, inner bend', 'consequence' => 'dangerous', 'stage' => 'loading', 'question' => 'carries', 'note' => $letter === 'F' ? 'The crack starts at the lower rivet hole.' : ''], (string) $run['startedAt'], 'Tobias Lind');
        }
    }
    $more = [
        ['double-B', 'B', 'Double seeds', 'seed plate', 'minor', '2026-04-03', 'More on humid mornings, Yusuf thinks.'],
        ['double-C1', 'C', 'Double seeds', 'seed plate', 'minor', '2026-05-07', 'The antistatic coat changed nothing.'],
        ['double-C2', 'C', 'Double seeds', 'seed plate', 'minor', '2026-05-08', ''],
        ['double-D', 'D', 'Double seeds', 'seed plate', 'minor', '2026-07-15', 'Rainy week; the plate rubs in its seat.'],
        ['jam-B', 'B', 'Plate jammed', 'seed plate, seat', 'major', '2026-04-20', ''],
        ['jam-C', 'C', 'Plate jammed', 'seed plate, seat', 'major', '2026-05-28', 'After a night in the shed.'],
        ['jam-D', 'D', 'Plate jammed', 'seed plate, seat', 'major', '2026-07-16', 'Plate measured 0.21 mm thicker than in June.'],
        ['tooth-A', 'A', 'Drive tooth chipped', 'seed plate, rim', 'minor', '2026-03-06', ''],
        ['tooth-B', 'B', 'Drive tooth chipped', 'seed plate, rim', 'minor', '2026-04-21', ''],
        ['tooth-E', 'E', 'Drive tooth chipped', 'seed plate, rim', 'minor', '2026-09-15', 'Acetal chips cleaner than PVC, but it chips.'],
        ['dust-C', 'C', 'Gate blind with dust', 'optical gate', 'major', '2026-05-29', ''],
        ['dust-D', 'D', 'Gate blind with dust', 'optical gate', 'major', '2026-07-17', ''],
        ['dust-E', 'E', 'Gate blind with dust', 'optical gate', 'major', '2026-09-16', 'The wiper in the lid was meant to end this.'],
        ['dust-F', 'F', 'Gate blind with dust', 'optical gate', 'major', '2026-11-16', ''],
        ['heat-C', 'C', 'Driver shut down', 'driver housing', 'major', '2026-05-22', 'At 24 °C already.'],
        ['heat-D', 'D', 'Driver shut down', 'driver housing', 'major', '2026-07-03', ''],
        ['lip-1', 'D′', 'Lip worn through', 'singulator', 'major', '2026-06-25', ''],
        ['lip-2', 'D′', 'Lip worn through', 'singulator', 'major', '2026-06-26', ''],
        ['latch-F', 'F', 'Lid opened by itself', 'hopper lid', 'minor', '2026-11-17', 'On the slope, twice.'],
    ];
    foreach ($more as [$id, $letter, $mode, $place, $severity, $day, $note]) {
        $s->add('failures', ['id' => $id, 'revision' => 'rev-'.$letter, 'run' => null, 'article' => null, 'mode' => $mode, 'place' => $place, 'consequence' => $severity, 'stage' => 'field', 'note' => $note], $day.'T15:00:00+00:00', 'Yusuf Brandt');
    }
    $causes = [
        [
            'double-B', 'Static charge makes small seeds stick to the plate', 'design', 'ruledOut',
            'The antistatic coat of C changed nothing: 9.9 % doubles against 10.6 %, which cannot be told apart.',
        ],
        ['double-C1', 'Static charge makes small seeds stick to the plate', 'design', 'ruledOut', 'Ruled out by the coat of C itself.'],
        [
            'double-D', 'PVC plate swells in damp air and lifts the seeds past the brush', 'design', 'confirmed',
            'Doubles follow humidity on B, C and D; the plate grew 0.21 mm in a damp week. The acetal plate of E does not follow it.',
        ],
        ['jam-D', 'PVC plate swells in damp air', 'design', 'confirmed', 'Same plate, measured 0.21 mm thicker.'],
        ['jam-C', 'PVC plate swells in damp air', 'design', 'supported', 'Jammed after a damp night, free again by noon.'],
        ['fail-7', 'Brush gap moved in transport', 'setUp', 'confirmed', 'Found at 1.4 mm; back at 0.8 mm the doubles were gone.'],
        ['heat-C', 'Current limit set too high', 'design', 'confirmed', 'Driver drew 2.2 A while holding.'],
        ['heat-D', 'Current limit set too high', 'design', 'confirmed', 'As on C.'],
        ['tooth-A', 'Plate driven against a stop when jammed', 'use', 'suspected', ''],
        ['dust-C', 'Talc on treated seed', 'use', 'supported', 'Worst with the treated lot.'],
        ['dust-E', 'Wiper does not reach the lower window', 'design', 'suspected', ''],
        ['lip-1', 'Rubber too soft for the plate speed', 'design', 'supported', 'Worn in the same place on both.'],
    ];
    $ids = array_column($s->lists['failures'], 'id');
    foreach ($s->lists['failures'] as $f) {
        if ($f['mode'] === 'Double seeds' && $f['run'] !== null) {
            $causes[5][0] = (string) $f['id'];
        }
        if ($f['mode'] === 'Hopper seam split') {
            $causes[] = [
                (string) $f['id'], 'Weld of the rear seam too thin', 'build', 'supported',
                'Splits start where the weld is thinnest.',
            ];
        }
        if ($f['mode'] === 'Bracket cracked' && $f['revision'] !== 'rev-F') {
            $causes[] = [
                (string) $f['id'], 'Too little metal in the inner bend', 'design', 'confirmed',
                'Cracks start in the bend; the gusset of D ended it.',
            ];
        }
    }
    foreach ($causes as [$failure, $text, $kind, $standing, $findings]) {
        if (in_array($failure, $ids, true)) {
            $s->add(
                'causes',
                ['failure' => $failure, 'text' => $text, 'kind' => $kind, 'standing' => $standing, 'findings' => $findings],
                '2026-07-18T19:00:00+00:00',
            );
        }
    }
    $firstOf = static function (string $mode, string $letter) use ($s): ?string {
        foreach ($s->lists['failures'] as $f) {
            if ($f['mode'] === $mode && $f['revision'] === 'rev-'.$letter) {
                return (string) $f['id'];
            }
        }

        return null;
    };
    $changes = [
        ['B', 'Five more cells on the plate', 'Closer spacing without more rpm', 'shape', 'spacing error', -4.0, '%', null, null, ''],
        ['B', 'Frame of thinner tube', 'Lighter to carry', 'shape', '', null, '', null, 'noEffect', 'Nobody could feel it.'],
        [
            'C', 'Antistatic coat on the plate', 'Seeds stick by static charge, we think', 'material', 'doubles', -5.0, '%',
            'double-B', 'noEffect', 'The first cause that came to mind.',
        ],
        [
            'C', 'Aluminium bracket, 3 mm', 'Cracks in the bend at 265 N', 'strength', 'bracket load', 150.0, 'N',
            $firstOf('Bracket cracked', 'B'), null, '',
        ],
        ['C', 'Larger ground wheel', 'Rolls over clods', 'shape', 'push force', -3.0, 'N', null, null, ''],
        ['D', 'Brush singulator', 'Wipes off the second seed', 'shape', 'doubles', -5.0, '%', 'double-C1', null, ''],
        [
            'D', 'Welded gusset on the bracket', 'Still cracks in the bend', 'strength', 'bracket load', 80.0, 'N',
            $firstOf('Bracket cracked', 'C'), null, '',
        ],
        ['D′', 'Rubber lip singulator', 'Gentler than a brush', 'shape', 'doubles', -5.0, '%', 'double-C1', null, ''],
        ['E', 'Acetal plate', 'Does not swell in damp air', 'material', 'doubles', -2.0, '%', 'double-D', null, ''],
        ['E', 'Brush gap 0.8 mm', 'Suggested by a grower who sows onions', 'setting', 'doubles', -0.5, '%', null, null, ''],
        ['E', 'Current limit 1.6 A', 'Driver shuts down', 'firmware', 'driver temperature', -10.0, '°C', 'heat-D', null, ''],
        ['E', 'Wiper in the lid for the gate', 'Gate goes blind with dust', 'shape', '', null, '', 'dust-D', null, ''],
        ['F', 'Cells 0.25 mm deeper', 'Fewer misses with large seed', 'shape', 'misses', -1.0, '%', null, null, ''],
        ['F', 'Riveted gusset in place of the weld', 'Cheaper, no welder needed', 'process', 'bracket load', 0.0, 'N', null, null, ''],
        ['F', 'Quick-change lid', 'Seed change takes too long in gloves', 'shape', 'seed change time', -30.0, 's', null, null, ''],
        ['F', 'Lighter wheel hub', 'Easier to push', 'shape', 'push force', -2.0, 'N', null, null, ''],
        [
            'F', 'Thicker hopper seam', 'Meant to make drops from 1 m safe', 'strength', 'survives drop', null, '',
            $firstOf('Hopper seam split', 'D'), null, '',
        ],
    ];
    $alters = [
        'Five more cells on the plate' => ['parameter:cells on the plate', 'part:Seed plate'],
        'Frame of thinner tube' => ['parameter:mass without seed'],
        'Antistatic coat on the plate' => ['part:Seed plate'],
        'Aluminium bracket, 3 mm' => ['parameter:bracket thickness', 'part:Handle bracket'],
        'Larger ground wheel' => ['parameter:wheel diameter'],
        'Brush singulator' => ['parameter:brush gap', 'part:Singulator'],
        'Welded gusset on the bracket' => ['part:Handle bracket', 'parameter:mass without seed'],
        'Rubber lip singulator' => ['part:Singulator'],
        'Acetal plate' => ['part:Seed plate', 'parameter:plate thickness'],
        'Brush gap 0.8 mm' => ['parameter:brush gap'],
        'Current limit 1.6 A' => ['parameter:driver current limit', 'firmware'],
        'Cells 0.25 mm deeper' => ['parameter:cell depth'],
        'Riveted gusset in place of the weld' => ['part:Handle bracket'],
        'Lighter wheel hub' => ['parameter:mass without seed'],
    ];
    foreach ($changes as [$letter, $what, $why, $class, $metric, $expected, $unit, $against, $verdict, $note]) {
        $s->add('changes', ['revision' => 'rev-'.$letter, 'what' => $what, 'why' => $why, 'class' => $class, 'effects' => $metric === '' ? [] : [['metric' => $metric, 'unit' => $unit, 'low' => $expected, 'likely' => $expected, 'high' => $expected]], 'alters' => $alters[$what] ?? [], 'verdict' => $verdict, 'verdictNote' => $note, 'against' => $against === null ? [] : [$against]], $s->find('revisions', 'rev-'.$letter)['origin']['createdAt'], 'Tobias Lind');
    }
    foreach ([['A', 'Plate picks up seeds, often two.', '2026-03-05'], ['C', 'Bench smells of hot plastic near the driver.', '2026-05-22'], ['D', 'Brush squeaks in the cold.', '2026-06-15'], ['E', 'Runs quieter; Ines thinks it is the plate.', '2026-08-12'], ['F', 'Lid clicks shut with one hand.', '2026-10-20'], ['F', 'Left wheel pulls a little on the slope.', '2026-11-18']] as [$letter, $text, $day]) {
        $s->add('observations', ['revision' => 'rev-'.$letter, 'run' => null, 'text' => $text], $day.'T16:00:00+00:00', 'Yusuf Brandt');
    }
    $photos = [
        ['A', 'seeds', 'Seeds on the belt, A: gaps and pairs', null], ['A', 'tooth', 'Chipped tooth after ten minutes', 'tooth-A'],
        ['A', 'bench', 'First rig on the bench', null],
        ['B', 'seeds', 'Spacing on B', null], ['B', 'tooth', 'Another chipped tooth', 'tooth-B'],
        ['B', 'furrow', 'First furrow outdoors', null],
        ['C', 'crack', 'Bracket of C, inner bend', $firstOf('Bracket cracked', 'C')],
        ['C', 'dust', 'Gate window after a morning', 'dust-C'], ['C', 'board', 'Driver board, brown around the regulator', 'heat-C'],
        ['C', 'seeds', 'Coated plate, still pairs', 'double-C1'],
        ['D', 'split', 'Hopper seam after 1 m', $firstOf('Hopper seam split', 'D')], ['D', 'seeds', 'Brush: fewer pairs', null],
        ['D', 'furrow', 'Bed 4, moist', null], ['D', 'dust', 'Dust again', 'dust-D'],
        ['D′', 'lip', 'Lip worn through', 'lip-1'], ['D′', 'seeds', 'Lip: hardly any pairs', null],
        ['E', 'seeds', 'Acetal plate', null], ['E', 'tooth', 'Clean chip in acetal', 'tooth-E'],
        ['E', 'furrow', 'Slope by the pond', null], ['E', 'dust', 'Lower window missed by the wiper', 'dust-E'],
        ['F', 'seeds', 'Deeper cells, large seed', null], ['F', 'crack', 'Crack at the lower rivet', $firstOf('Bracket cracked', 'F')],
        ['F', 'furrow', 'Evenest furrow so far', null], ['F', 'dust', 'Window after the first field day', 'dust-F'],
        ['F', 'bench', 'F on the bench before the slope', null],
    ];
    foreach ($photos as $i => [$letter, $scene, $caption, $failure]) {
        $s->add('photos', ['revision' => 'rev-'.$letter, 'run' => null, 'failure' => $failure, 'caption' => $caption, 'scene' => $scene, 'seed' => 100 + $i], $s->find('revisions', 'rev-'.$letter)['origin']['createdAt'], 'Yusuf Brandt');
    }
}

function wrenDecisions(Story $s): void
{
    $line = static fn (string $what, string $class, string $choice, string $reason, float $cost, float $hours, string $expected = '', string $askedBy = ''): array => ['what' => $what, 'why' => '', 'class' => $class, 'choice' => $choice, 'reason' => $reason, 'cost' => $cost, 'hours' => $hours, 'expected' => $expected, 'askedBy' => $askedBy];
    $decide = static function (string $id, string $from, string $to, string $day, string $note, string $cost, float $hours, array $lines, array $entangled) use ($s): void {
        $s->add('decisions', ['id' => $id, 'revision' => 'rev-'.$from, 'next' => 'rev-'.$to, 'nextLetter' => $to, 'note' => $note, 'known' => ['lines' => $lines, 'evidence' => [], 'cost' => $cost, 'hours' => $hours, 'currency' => 'EUR', 'entangled' => $entangled, 'over' => [], 'forecasts' => []]], $day.'T20:00:00+00:00');
    };
    $decide('dec-E', 'D', 'E', '2026-07-20', 'Swelling first, heat second. The lip is dropped for now.', '146.00', 27.0, [
        $line('Acetal plate', 'material', 'in', 'The plate swells; acetal does not.', 38, 6, 'doubles −3 to −1 %'),
        $line(
            'Brush gap 0.8 mm', 'setting', 'in', 'Costs nothing, and the grower was right about onions.', 0, 1,
            'doubles −1 to 0 %', 'A grower at the June open day',
        ),
        $line('Current limit 1.6 A', 'firmware', 'in', 'Driver shuts down.', 0, 4, 'driver temperature −14 to −7 °C'),
        $line('Wiper in the lid for the gate', 'shape', 'in', 'Cheapest thing to try against dust.', 12, 5),
        $line('Second wheel', 'shape', 'drop', 'Wren has to fit between beds. Would come back for a tractor version.', 44, 10),
        $line('Rubber lip', 'shape', 'drop', 'Wears through in two days. Would come back with a lip that lasts a season.', 9, 2),
    ], ['Doubles: one build cannot tell “Acetal plate” and “Brush gap 0.8 mm” apart.']);
    $decide('dec-F', 'E', 'F', '2026-09-28', 'Make it quick to change and cheap to build.', '118.00', 31.5, [
        $line('Cells 0.25 mm deeper', 'shape', 'in', 'Misses with large seed.', 21, 5, 'misses −1.5 to −0.5 points'),
        $line('Quick-change lid', 'shape', 'in', '147 s in gloves.', 33, 9, 'seed change time −45 to −20 s'),
        $line('Riveted gusset in place of the weld', 'process', 'in', 'Saves 3 EUR and the welder.', 14, 6),
        $line('Lighter wheel hub', 'shape', 'in', 'Asked for by all six growers.', 26, 7, 'push force −3 to −1 N', 'Grower panel'),
        $line('Thicker hopper seam', 'strength', 'in', 'Drops from 1 m must be safe.', 24, 4.5),
        $line('Bigger battery', 'electrical', 'wait', 'Waits for the battery runs in cold weather.', 31, 2),
    ], []);
    $settled = [
        [
            'D', 'Rubber lip', 'shape', 9.0, 2.0, [], 'team', '', 'drop',
            'Wears through in two days. Would come back with a lip that lasts a season.', 'dec-E', null,
        ],
        [
            'D', 'Second wheel', 'shape', 44.0, 10.0, [], 'outside', 'Visitor at the June open day', 'drop',
            'Wren has to fit between beds. Would come back for a tractor version.', 'dec-E', null,
        ],
        [
            'D', 'Brush gap 0.8 mm', 'setting', 0.0, 1.0, [['doubles', '%', -1.0, -0.5, 0.0]], 'outside',
            'A grower at the June open day', 'in', 'Costs nothing, and the grower was right about onions.', 'dec-E', null,
        ],
        [
            'E', 'Lighter wheel hub', 'shape', 26.0, 7.0, [['push force', 'N', -3.0, -2.0, -1.0]], 'outside', 'Grower panel',
            'in', 'Asked for by all six growers.', 'dec-F', null,
        ],
    ];
    $bracket = null;
    foreach ($s->lists['failures'] as $f) {
        if ($f['mode'] === 'Bracket cracked' && $f['revision'] === 'rev-F') {
            $bracket ??= (string) $f['id'];
        }
    }
    $open = [
        [
            'E', 'Bigger battery, 9 Ah', 'electrical', 31.0, 2.0, [['run time', 'h', 1.2, 1.7, 2.2]], 'team', '', 'wait',
            'Waits for the battery runs in cold weather.', null, null,
        ],
        [
            'F', 'Weld the gusset again, robot jig', 'process', 48.0, 8.0, [['bracket load', 'N', 30.0, 45.0, 60.0]], 'failure',
            '', 'in', 'The crack came back with the rivets.', null, $bracket,
        ],
        [
            'F', 'Bracket 4 mm thick instead of 3 mm', 'strength', 29.0, 4.0,
            [['bracket load', 'N', 50.0, 80.0, 110.0], ['push force', 'N', 0.2, 0.4, 0.8]], 'failure', '', 'open', '', null,
            $bracket,
        ],
        [
            'F', 'Larger rivets with washers', 'process', 9.0, 2.0, [['bracket load', 'N', 0.0, 20.0, 40.0]], 'team', '', 'open',
            '', null, $bracket,
        ],
        [
            'F', 'Air knife over both gate windows', 'shape', 37.0, 12.0, [], 'failure', '', 'in',
            'Dust has blinded every build since C.', null, 'dust-F',
        ],
        ['F', 'Felt wiper for the lower window', 'shape', 6.0, 2.5, [], 'outside', 'A letter from a grower', 'open', '', null, 'dust-F'],
        ['F', 'Latch with a spring', 'shape', 4.0, 1.5, [], 'failure', '', 'in', 'Lid opened twice on the slope.', null, 'latch-F'],
        [
            'F', 'Soft start of the plate', 'firmware', 0.0, 5.0,
            [['spacing error', '%', -1.2, -0.6, 0.0], ['driver temperature', '°C', -2.0, -1.0, 0.0]], 'team', '', 'in',
            'Half the error is in the first metre.', null, null,
        ],
        [
            'F', 'Plate speed from the wheel, not from a timer', 'electrical', 22.0, 14.0,
            [['spacing error', '%', -2.5, -1.4, -0.4]], 'team', '', 'open', '', null, null,
        ],
        [
            'F', 'Heat sink on the driver', 'electrical', 7.5, 2.0, [['driver temperature', '°C', -9.0, -6.0, -3.0]], 'team', '',
            'open', '', null, null,
        ],
        [
            'F', 'Cells with a bevelled edge', 'shape', 18.0, 4.0,
            [['doubles', '%', -0.8, -0.4, 0.2], ['misses', '%', -0.3, 0.0, 0.4]], 'team', '', 'open', '', null, null,
        ],
        [
            'F', 'Longer handle', 'shape', 11.0, 2.0, [['handling rating', '%', -2.0, 3.0, 7.0]], 'outside', 'Grower panel',
            'wait', 'Waits for the next panel.', null, null,
        ],
        [
            'F', 'Green paint', 'cosmetic', 8.0, 3.0, [], 'outside', 'Open day', 'drop',
            'Rust first. Would come back for the first batch.', null, null,
        ],
    ];
    foreach ([...$settled, ...$open] as [$letter, $what, $class, $cost, $hours, $effects, $source, $askedBy, $choice, $reason, $decision, $failure]) {
        $s->add('candidates', ['revision' => 'rev-'.$letter, 'what' => $what, 'why' => '', 'class' => $class, 'cost' => $cost, 'hours' => $hours, 'effects' => array_map(static fn (array $e): array => ['metric' => $e[0], 'unit' => $e[1], 'low' => $e[2], 'likely' => $e[3], 'high' => $e[4]], $effects), 'source' => $source, 'askedBy' => $askedBy, 'failures' => $failure === null ? [] : [$failure], 'choice' => $choice, 'reason' => $reason, 'decision' => $decision], '2026-11-15T19:00:00+00:00');
    }
}

/** What was worked out before it was tried, and how that came out: three of four as they should be, and one that was not. */
function wrenWorkings(Story $s): void
{
    $first = static function (string $trial) use ($s): string {
        foreach ($s->lists['runs'] as $run) {
            if ($run['trial'] === $trial) {
                return (string) $run['id'];
            }
        }
        throw new InvalidArgumentException('No run of '.$trial);
    };
    $work = static function (
        string $letter, string $title, string $sum, string $output, string $trial, string $channel, array $inputs, string $at, string $by,
        string $note = '',
    ) use ($s, $first): void {
        $s->add('workings', [
            'revision' => 'rev-'.$letter, 'title' => $title, 'sum' => $sum, 'output' => $output, 'unit' => '',
            'run' => $first($trial), 'channel' => $channel, 'note' => $note,
            'inputs' => array_map(static fn (string $name, string $text): array => [
                'name' => $name, 'text' => $text, 'parameter' => null, 'reading' => null, 'requirement' => null,
            ], array_keys($inputs), $inputs),
        ], $at, $by);
    };
    $charge = ['capacity' => '7.0 Ah ± 0.2', 'idleCurrent' => '90 mA', 'duty' => '0.93', 'cutOff' => '2 %'];
    $work(
        'E', 'One charge of E', 'runtime', 'runtime', 't-battery-E', 'time', ['activeCurrent' => '1.05 A ± 0.03'] + $charge,
        '2026-08-28T19:00:00+00:00', 'Ines Caldeira',
    );
    $work(
        'F', 'One charge of F, with the faster plate', 'runtime', 'runtime', 't-battery-F', 'time',
        ['activeCurrent' => '1.18 A ± 0.03'] + $charge, '2026-10-20T19:00:00+00:00', 'Ines Caldeira',
    );
    $work('F', 'How warm the driver of F gets', 'thermalMargin', 'temperature', 't-driver-F', 'temp', [
        'measured' => '71.1 °C ± 0.4', 'measuredAmbient' => '20 °C', 'measuredPower' => '3.9 W', 'power' => '4.1 W ± 0.1',
        'ambient' => '20 °C', 'limit' => '80 °C',
    ], '2026-10-18T19:00:00+00:00', 'Ines Caldeira', 'Thermal resistance from the hour with E.');
    $work('F', 'Push on a raked bed', 'driveWheel', 'force', 't-push-F', 'push', [
        'diameter' => '310 mm', 'mass' => '11.9 kg', 'rolling' => '0.36 ± 0.01', 'speed' => '4 km/h',
    ], '2026-10-12T19:00:00+00:00', 'Maren Okafor', 'The coefficient is from the soft bed in spring.');
}
