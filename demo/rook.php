<?php

declare(strict_types=1);

/** The story of Rook, a kite-lofted camera cradle: one maker, no gates, mostly single runs. */
function rook(): Story
{
    $s = new Story(['id' => 'rook', 'name' => 'Rook', 'brief' => 'A camera cradle that a kite lofts to look at the beds from above.', 'users' => 'One person in a field with a steady wind.', 'gates' => 'open', 'confidence' => 0.9, 'currency' => 'EUR', 'costLimit' => null, 'hoursLimit' => null, 'changesLimit' => null, 'beganWith' => ['name' => 'Two-line cradle from a club leaflet', 'author' => 'Corin Vale', 'terms' => 'Free to build and to alter, if it says whose it was', 'alterations' => 'One line in place of two; carbon in place of wood from B on', 'build' => null], 'origin' => ['createdAt' => '2026-05-01T18:00:00+00:00', 'createdBy' => 'Yusuf Brandt', 'version' => 1, 'withdrawnBecause' => null]], 20260501, 'Yusuf Brandt');
    foreach ([['Hangs level enough for a map', 'tilt', 'deg', 5.0, 'atMost', 'mean', true], ['Light enough for a light wind', 'mass', 'g', 420.0, 'atMost', 'mean', true], ['Stays up for a whole flight', 'time aloft', 'min', 20.0, 'atLeast', 'mean', false]] as $i => [$statement, $metric, $unit, $limit, $direction, $kind, $must]) {
        $s->add('requirements', ['device' => 'rook', 'statement' => $statement, 'metric' => $metric, 'unit' => $unit, 'limit' => $limit, 'direction' => $direction, 'kind' => $kind, 'coverage' => 0.9, 'must' => $must, 'conditions' => [], 'dependsOn' => ['shape', 'material', 'strength'], 'place' => $i], '2026-05-02T20:10:00+00:00');
    }
    $s->add('methods', ['id' => 'm-flight', 'device' => 'rook', 'name' => 'Flight over bed 9', 'purpose' => 'Does it hang level, and for how long?', 'rig' => '', 'heldWhen' => 'Came down when it was asked to', 'endPoint' => '20 minutes, or the wind drops', 'notRepresented' => 'Gusts over 9 m/s.', 'minutes' => 45.0,
        'channels' => [['key' => 'tilt', 'metric' => 'tilt', 'unit' => 'deg', 'instrument' => 'From the pictures', 'resolution' => 0.5, 'low' => 0.0, 'high' => 60.0, 'whenStopped' => 'equal'], ['key' => 'time', 'metric' => 'time aloft', 'unit' => 'min', 'instrument' => 'Stopwatch', 'resolution' => 1.0, 'low' => 0.0, 'high' => 180.0, 'whenStopped' => 'atLeast']],
        'conditions' => [['name' => 'wind', 'unit' => 'm/s', 'tolerance' => 1.0, 'states' => []]], 'settings' => [],
        'safety' => ['hazards' => ['loaded line', 'falling load', 'person under the cradle'], 'cautions' => ['Gloves', 'Nobody under the line', 'Away from roads and power lines; local rules for kites come first', 'A second person watches'], 'abort' => 'Bring it down in gusts over 9 m/s, when anybody walks under it, or at the first thunder.', 'needsSignOff' => true], 'before' => [['method' => 'On the kitchen scale', 'levels' => [], 'why' => 'weighed before it flies']], 'tools' => ['Gloves', 'Spare line', 'Wind gauge'], 'setUpMinutes' => 20.0, 'resetMinutes' => 15.0, 'looks' => [['what' => 'wind', 'every' => 5.0, 'after' => null, 'at' => ''], ['what' => 'line at the cleat', 'every' => null, 'after' => null, 'at' => 'when it is up']], 'usesUp' => [['kind' => 'visit', 'what' => 'bed 9', 'amount' => 1.0, 'unit' => '']]], '2026-05-01T18:20:00+00:00');
    $s->add('methods', ['id' => 'm-scale', 'device' => 'rook', 'name' => 'On the kitchen scale', 'purpose' => 'What does it weigh?', 'rig' => '', 'heldWhen' => 'Read off', 'endPoint' => 'Read off', 'notRepresented' => 'Wet line.', 'minutes' => 2.0,
        'channels' => [[
            'key' => 'mass', 'metric' => 'mass', 'unit' => 'g', 'instrument' => 'Kitchen scale', 'resolution' => 1.0,
            'low' => 50.0, 'high' => 2000.0, 'whenStopped' => 'equal',
        ]],
        'conditions' => [], 'settings' => [],
        'safety' => ['hazards' => [], 'cautions' => [], 'abort' => 'Nothing to stop.', 'needsSignOff' => false]], '2026-05-01T18:25:00+00:00');
    $changes = ['B' => [['Cross of carbon tube', 'The wooden one is heavy', 'material', 'mass', -120.0, 'g']], 'C' => [['Line through the middle', 'It hangs askew', 'shape', 'tilt', -6.0, 'deg']], 'D' => [['Vane at the back', 'It still turns with the gusts', 'shape', 'tilt', -3.0, 'deg'], ['Thinner arm', 'Lighter', 'strength', 'mass', -30.0, 'g']]];
    $parent = null;
    foreach ([['A', 'Wooden cross', '2026-05-02'], ['B', 'Carbon cross', '2026-05-23'], ['C', 'Line through the middle', '2026-06-20'], ['D', 'Vane and thinner arm', '2026-09-19']] as $i => [$letter, $intent, $day]) {
        $s->add('revisions', ['id' => 'rook-'.$letter, 'device' => 'rook', 'parent' => $parent, 'letter' => $letter, 'branch' => '', 'intent' => $intent, 'firmware' => '', 'state' => $letter === 'D' ? 'building' : 'built', 'stateReason' => ''], $day.'T09:00:00+00:00');
        $s->add('parameters', ['revision' => 'rook-'.$letter, 'name' => 'arm length', 'measure' => ['value' => [260.0, 240.0, 240.0, 240.0][$i], 'unit' => 'mm', 'resolution' => 1.0]], $day.'T09:20:00+00:00');
        $s->add('articles', ['id' => 'R-'.($i + 1), 'revision' => 'rook-'.$letter, 'serial' => 'R-'.($i + 1), 'lots' => [], 'deviations' => '', 'state' => 'finished'], $day.'T10:00:00+00:00');
        $s->add('trials', ['id' => 'scale-'.$letter, 'revision' => 'rook-'.$letter, 'method' => 'm-scale', 'name' => 'Weighed', 'question' => '', 'plannedRuns' => 1, 'repeats' => 'estimate', 'state' => 'done', 'signOff' => null, 'override' => null], $day.'T11:00:00+00:00');
        $s->run(
            'scale-'.$letter, 'R-'.($i + 1), $day.'T11:05:00+00:00',
            ['operator' => 'Yusuf Brandt', 'conditions' => [], 'settings' => [], 'note' => ''],
            ['mass' => [[548.0, 431.0, 436.0, 402.0][$i], 0]],
        );
        $flights = [[[14.5, 9, true]], [[12.0, 22, true], [13.5, 15, true]], [[6.5, 24, true], [5.5, 18, false]], [[4.5, 21, true]]][$i];
        $s->add('trials', ['id' => 'flight-'.$letter, 'revision' => 'rook-'.$letter, 'method' => 'm-flight', 'name' => $letter === 'A' ? 'Lofted over bed 9' : 'Flight', 'question' => 'Does it hang level?', 'plannedRuns' => count($flights), 'repeats' => $letter === 'D' ? 'untilItHolds' : 'estimate', 'state' => 'done', 'signOff' => ['by' => 'Yusuf Brandt, with Maren Okafor watching', 'note' => 'Line checked, field closed.'], 'override' => null], $day.'T12:00:00+00:00');
        foreach ($flights as $j => [$tilt, $minutes, $whole]) {
            $s->run('flight-'.$letter, 'R-'.($i + 1), $day.'T1'.(3 + $j).':00:00+00:00', ['operator' => 'Yusuf Brandt', 'conditions' => [['name' => 'wind', 'text' => [['6 m/s'], ['5 m/s', '7 m/s'], ['6 m/s', 'unknown'], ['12 mph']][$i][$j]]], 'settings' => [], 'note' => ''] + ($whole ? [] : ['outcome' => 'stoppedEarly', 'outcomeReason' => 'The wind dropped']), ['tilt' => [$tilt, 1], 'time' => [(float) $minutes, 0]]);
        }
        if ($letter === 'A') {
            // It began with a line, and what was read in it.
            $s->add('observations', ['revision' => 'rook-A', 'run' => $s->lists['runs'][array_key_last($s->lists['runs'])]['id'], 'kind' => 'observation', 'text' => 'Hung 14.5 deg askew at 6 m/s, and came down after 9 min when the wind dropped', 'place' => ''], $day.'T13:20:00+00:00');
        }
        foreach ($changes[$letter] ?? [] as [$what, $why, $class, $metric, $expected, $unit]) {
            $s->add('changes', ['revision' => 'rook-'.$letter, 'what' => $what, 'why' => $why, 'class' => $class, 'effects' => $metric === '' ? [] : [['metric' => $metric, 'unit' => $unit, 'low' => $expected, 'likely' => $expected, 'high' => $expected]], 'alters' => [], 'verdict' => null, 'verdictNote' => '', 'against' => []], $day.'T09:10:00+00:00');
        }
        $s->add('photos', ['revision' => 'rook-'.$letter, 'run' => null, 'failure' => null, 'caption' => 'Flight of '.$letter, 'scene' => 'sky', 'seed' => 300 + $i], $day.'T15:00:00+00:00');
        $parent = 'rook-'.$letter;
    }
    $s->add('failures', ['id' => 'spin', 'revision' => 'rook-B', 'run' => null, 'article' => 'R-2', 'mode' => 'Spun around the line', 'place' => 'suspension', 'consequence' => 'minor', 'stage' => 'flight', 'note' => ''], '2026-05-23T16:00:00+00:00');
    $s->add('candidates', ['revision' => 'rook-D', 'what' => 'Second line to steady it', 'why' => '', 'class' => 'shape', 'cost' => 12.0, 'hours' => 2.0, 'effects' => [['metric' => 'tilt', 'unit' => 'deg', 'low' => -2.0, 'likely' => -1.0, 'high' => 0.0]], 'source' => 'team', 'askedBy' => '', 'failures' => ['spin'], 'choice' => 'open', 'reason' => '', 'decision' => null], '2026-09-20T18:00:00+00:00');

    return $s;
}
