<?php

declare(strict_types=1);

/** The story of Seedeye, the optical gate of Wren: a module that is tried and decided alone. */
function seedeye(): Story
{
    $s = new Story(['id' => 'seedeye', 'name' => 'Seedeye', 'brief' => 'The optical gate that counts seeds as they fall: a module of the seeder, tried by itself on the bench.', 'users' => '', 'gates' => 'open', 'confidence' => 0.95, 'currency' => 'EUR', 'costLimit' => null, 'hoursLimit' => null, 'changesLimit' => null, 'origin' => ['createdAt' => '2026-02-20T18:00:00+00:00', 'createdBy' => 'Ines Caldeira', 'version' => 1, 'withdrawnBecause' => null]], 20260220, 'Ines Caldeira');
    $s->add('requirements', ['id' => 'eye-counts', 'device' => 'seedeye', 'statement' => 'Counts within 1 %', 'metric' => 'count error', 'unit' => '%', 'limit' => 1.0, 'direction' => 'atMost', 'kind' => 'mean', 'coverage' => 0.9, 'must' => true, 'conditions' => [], 'dependsOn' => [], 'place' => 0], '2026-02-20T18:10:00+00:00');
    $s->add('methods', ['id' => 'm-count', 'device' => 'seedeye', 'name' => 'Counted by hand beside it', 'purpose' => 'Of 500 seeds, how many does the gate miss or see twice?', 'rig' => 'Tilted chute', 'heldWhen' => '', 'endPoint' => '500 seeds', 'notRepresented' => 'Dust, and the shaking of a walk.', 'minutes' => 12.0,
        'channels' => [[
            'key' => 'error', 'metric' => 'count error', 'unit' => '%', 'instrument' => 'Counted by hand', 'resolution' => 0.2,
            'low' => 0.0, 'high' => 50.0, 'whenStopped' => 'equal', 'formula' => '',
        ]],
        'conditions' => [], 'settings' => [], 'questions' => [], 'factors' => [], 'safety' => ['hazards' => [], 'cautions' => [], 'abort' => 'Nothing to stop.', 'needsSignOff' => false]], '2026-02-20T18:20:00+00:00');
    $parent = null;
    foreach (['A' => ['One beam', '2026-02-22', 'phototransistor', [2.6, 1.8, 2.2, 2.0]], 'B' => ['Two beams, crossed', '2026-07-06', 'phototransistor, two', [0.6, 0.8, 0.6, 0.4, 0.8, 0.6]]] as $letter => [$intent, $day, $sensor, $errors]) {
        $s->add('revisions', ['id' => 'eye-'.$letter, 'device' => 'seedeye', 'parent' => $parent, 'letter' => $letter, 'branch' => '', 'intent' => $intent, 'firmware' => '', 'state' => 'built', 'stateReason' => ''], $day.'T08:00:00+00:00');
        $s->add('parts', ['revision' => 'eye-'.$letter, 'name' => 'Sensor', 'material' => $sensor, 'quantity' => 1.0, 'cost' => $letter === 'A' ? 1.9 : 3.7, 'note' => '', 'mass' => $letter === 'A' ? 6.0 : 11.0], $day.'T08:10:00+00:00');
        $s->add('articles', ['id' => 'eye-1'.$letter, 'revision' => 'eye-'.$letter, 'serial' => 'G-'.($letter === 'A' ? 1 : 2), 'lots' => [], 'deviations' => '', 'state' => 'finished'], $day.'T09:00:00+00:00');
        if ($letter === 'B') {
            $s->add('changes', ['revision' => 'eye-B', 'what' => 'A second beam across the first', 'why' => 'Seeds that fall side by side count as one', 'class' => 'electrical', 'effects' => [['metric' => 'count error', 'unit' => '%', 'low' => -1.8, 'likely' => -1.4, 'high' => -1.0]], 'alters' => ['part:Sensor'], 'verdict' => null, 'verdictNote' => '', 'against' => []], $day.'T08:05:00+00:00');
        }
        $s->add('trials', ['id' => 'count-'.$letter, 'revision' => 'eye-'.$letter, 'method' => 'm-count', 'name' => '500 seeds down the chute', 'question' => 'How many does it miss?', 'plannedRuns' => count($errors), 'repeats' => 'estimate', 'state' => 'done', 'signOff' => null, 'override' => null], $day.'T09:30:00+00:00');
        foreach ($errors as $i => $error) {
            $s->run(
                'count-'.$letter, 'eye-1'.$letter, $day.'T1'.$i.':00:00+00:00',
                ['operator' => 'Ines Caldeira', 'conditions' => [], 'settings' => [], 'note' => ''], ['error' => [$error, 1]],
            );
        }
        $parent = 'eye-'.$letter;
    }

    return $s;
}
