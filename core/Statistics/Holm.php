<?php

declare(strict_types=1);

namespace Lustrum\Core\Statistics;

use Lustrum\Core\InvalidInput;

/** Several tests at once: Holm (1979), Scand. J. Statist. 6, 65. */
final class Holm
{
    /**
     * @param list<float> $p
     *
     * @return list<float> adjusted, in the order given
     *
     * @throws InvalidInput
     */
    public static function adjust(array $p): array
    {
        foreach ($p as $i => $value) {
            if (!($value >= 0 && $value <= 1)) {
                throw InvalidInput::because('A p lies between 0 and 1.', 'p/'.$i);
            }
        }
        asort($p);
        $m = count($p);
        $worst = 0.0;
        $out = [];
        $rank = 0;
        foreach ($p as $i => $value) {
            $worst = max($worst, min(1.0, ($m - $rank++) * $value));
            $out[$i] = $worst;
        }
        ksort($out);

        return array_values($out);
    }
}
