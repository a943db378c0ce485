<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Quantity\Quantity;

/** By how much a parameter differs from the parent's. */
final readonly class ParameterChange
{
    private const EQUAL = 1e-12;

    /** @param float|null $percent of the parent's value; null where that has no meaning */
    private function __construct(
        public float $difference,
        public int $decimals,
        public ?float $percent,
    ) {
    }

    /**
     * @return self|null null where they are equal
     *
     * @throws \Lustrum\Core\Quantity\UnitMismatch when they are quantities of different kinds
     */
    public static function of(Quantity $was, Quantity $is): ?self
    {
        if (abs($is->si() - $was->si()) <= self::EQUAL * max(abs($is->si()), abs($was->si()))) {
            return null;
        }
        $before = $was->to($is->unit->symbol);
        $difference = $is->value - $before->value;
        // 20 °C is not twice 10 °C: a percentage of a temperature point has no meaning.
        $meaningless = $before->value === 0.0 || $before->unit->offset !== 0.0;

        return new self(
            $difference, Digits::decimalsOf(max($is->resolution ?? 0.0, $before->resolution ?? 0.0)),
            $meaningless ? null : 100 * $difference / abs($before->value),
        );
    }
}
