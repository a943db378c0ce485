<?php

declare(strict_types=1);

/*
 * Draws deciding places at random: a comparison, an and, an or, a not.
 *
 * Each: file, where it stands, what stands there, what is put there, and its line.
 */
return static function (string $root, int $seed, int $many): array {
    $turned = [
        '===' => '!==', '!==' => '===', '<' => '>=', '>' => '<=', '<=' => '>', '>=' => '<', '&&' => '||', '||' => '&&', '!' => '',
    ];
    $places = [];
    foreach ([
        'core/Alike', 'core/Change', 'core/Evidence', 'core/Failure', 'core/Footing', 'core/Judging', 'core/Run', 'src/Facts',
    ] as $folder) {
        foreach (glob($root.'/'.$folder.'/*.php') ?: [] as $path) {
            foreach (PhpToken::tokenize((string) file_get_contents($path)) as $token) {
                if (isset($turned[$token->text])) {
                    $places[] = [substr($path, strlen($root) + 1), $token->pos, $token->text, $turned[$token->text], $token->line];
                }
            }
        }
    }
    mt_srand($seed);
    $drawn = [];
    while (count($drawn) < min($many, count($places))) {
        $drawn[mt_rand(0, count($places) - 1)] = true;
    }
    ksort($drawn);

    return array_values(array_intersect_key($places, $drawn));
};
