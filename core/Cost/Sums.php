<?php

declare(strict_types=1);

namespace Lustrum\Core\Cost;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;

/** Sums of money, exact to the cent; floats never carry money. */
final class Sums
{
    /** @param list<array{quantity: float, cost: string}> $lines quantity and cost of one */
    public static function ofParts(array $lines): string
    {
        $sum = BigDecimal::zero();
        foreach ($lines as $line) {
            $sum = $sum->plus(BigDecimal::of((string) $line['quantity'])->multipliedBy($line['cost']));
        }

        return (string) $sum->toScale(2, RoundingMode::HalfUp);
    }

    /** @param list<string> $amounts */
    public static function of(array $amounts): string
    {
        $sum = BigDecimal::zero();
        foreach ($amounts as $amount) {
            $sum = $sum->plus($amount);
        }

        return (string) $sum->toScale(2, RoundingMode::HalfUp);
    }

    public static function difference(string $from, string $to): string
    {
        return (string) BigDecimal::of($to)->minus($from)->toScale(2, RoundingMode::HalfUp);
    }

    public static function exceeds(string $amount, string $limit): bool
    {
        return BigDecimal::of($amount)->isGreaterThan($limit);
    }
}
