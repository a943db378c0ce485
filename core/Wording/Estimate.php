<?php

declare(strict_types=1);

namespace Lustrum\Core\Wording;

use Lustrum\Core\Judging\Figure;
use Lustrum\Core\Judging\Worded;

/** A number for the screen: with unit, interval, count, and only the decimals that were measured. */
final readonly class Estimate
{
    public string $text;

    /** @param list<'low'|'high'> $cut ends that were cut off at what there can be */
    private function __construct(
        public float $value,
        public ?float $low,
        public ?float $high,
        public string $unit,
        public int $decimals,
        public int $n,
        public array $cut,
        ?Worded $words,
    ) {
        $this->text = Numbers::figure(new Figure($value, $low, $high, $unit, $decimals, $n, $cut, $words));
    }

    /** @return ($figure is null ? null : self) */
    public static function of(?Figure $figure): ?self
    {
        return $figure === null ? null : new self(
            $figure->value, $figure->low, $figure->high, $figure->unit, $figure->decimals, $figure->n, $figure->cut, $figure->words,
        );
    }
}
