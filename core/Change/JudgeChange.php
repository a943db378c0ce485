<?php

declare(strict_types=1);

namespace Lustrum\Core\Change;

use Lustrum\Core\Statistics\Comparison;

/**
 * Expected against seen (`change.verdict`).
 *
 * Fixed: the difference goes the expected way and reaches the expected amount. Partly: it goes that way, shown, but
 * falls short. Worse: shown the other way. No effect: it cannot be told from nought. Without runs on both sides
 * nobody looked; a single run can say nothing of this kind.
 */
final class JudgeChange
{
    /** @param float $expected difference that was expected, in the unit of the metric; its sign is the direction */
    public static function seen(float $expected, ?Comparison $seen): ChangeVerdict
    {
        if ($seen === null || !$seen->difference->has()) {
            return ChangeVerdict::NobodyLooked;
        }
        $sign = $expected < 0 ? -1 : 1;
        $near = $sign * ($sign > 0 ? (float) $seen->difference->low : (float) $seen->difference->high);
        $far = $sign * ($sign > 0 ? (float) $seen->difference->high : (float) $seen->difference->low);

        return match (true) {
            $far < 0 => ChangeVerdict::Worse,
            $near <= 0 => ChangeVerdict::NoEffect,
            $sign * $seen->difference->estimate >= abs($expected) => ChangeVerdict::Fixed,
            default => ChangeVerdict::Partly,
        };
    }
}
