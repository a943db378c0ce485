<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Weigh;

use Lustrum\Core\Alike\CellDifference;
use Lustrum\Core\Alike\Per;
use Lustrum\Core\Judging\MetricComparison;
use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Wording\Numbers;

/** Two builds at one level that both were run at. */
final readonly class CellRow
{
    /**
     * @param bool     $opposed does it go the other way than the whole?
     * @param Per|null $per     what is counted on each side
     */
    private function __construct(
        public string $cell,
        public float $otherValue,
        public float $value,
        public string $other,
        public int $otherN,
        public string $here,
        public int $n,
        public string $difference,
        public bool $opposed,
        public ?Per $per,
    ) {
    }

    /** @return list<self> none where the runs were made at no level */
    public static function all(MetricComparison $c): array
    {
        if ($c->worded !== []) {
            return self::words($c);
        }
        $amount = static fn (float $v): string => Numbers::amount($v, $c->here->decimals, $c->here->unit);

        return array_map(static fn (CellDifference $cell): self => new self(
            $cell->cell, $cell->a, $cell->b, $amount($cell->a), $cell->na, $amount($cell->b), $cell->nb, Numbers::signed(
                $cell->difference, Digits::decimals(abs($cell->difference), $c->here->decimals), Numbers::differenceUnit($c->here->unit),
            ),
            in_array($cell->cell, $c->matching->against ?? [], true), $c->matching?->per,
        ), $c->matching->cells ?? []);
    }

    /** @return list<self> words have no difference */
    private static function words(MetricComparison $c): array
    {
        $out = [];
        foreach (count($c->worded) === 1 && isset($c->worded['']) ? [] : $c->worded as $cell => ['here' => $here, 'other' => $other]) {
            $out[] = new self(
                (string) $cell, $other->place, $here->place, Numbers::words($other), $other->n(), Numbers::words($here), $here->n(), '', false,
                null,
            );
        }

        return $out;
    }
}
