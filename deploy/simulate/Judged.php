<?php

declare(strict_types=1);

use Lustrum\Core\Change\ChangeVerdict;
use Lustrum\Core\Change\JudgeChange;
use Lustrum\Core\Statistics\Compare;
use Lustrum\Core\Statistics\Interval;

/** Verdicts on simulated changes. */
final class Judged
{
    /** It was to stay within a margin, and moved by so much. */
    public static function staying(Chance $c, int $n, float $moved, float $margin): ChangeVerdict
    {
        [$difference, $within] = self::differences($c, $n, $moved);

        return JudgeChange::staying($margin, $difference, $within);
    }

    /** So much was expected, and it moved by so much. */
    public static function expected(Chance $c, int $n, float $moved, float $expected): ChangeVerdict
    {
        [$difference, $within] = self::differences($c, $n, $moved);

        return JudgeChange::range($expected, $expected, $difference, $within);
    }

    /** @return array{Interval, Interval} */
    private static function differences(Chance $c, int $n, float $moved): array
    {
        [$a, $b] = [$c->normals($n), $c->normals($n, $moved)];

        return [
            Compare::independent($a, $b, Bench::CONFIDENCE)->difference, Compare::independent($a, $b, 2 * Bench::CONFIDENCE - 1)->difference,
        ];
    }
}
