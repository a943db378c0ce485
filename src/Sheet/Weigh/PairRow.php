<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Weigh;

use Lustrum\Core\Judging\MetricComparison;
use Lustrum\Core\Judging\Pair;
use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Wording\Numbers;

/** One pair of two builds: a level or a block that both were run at, with the difference and its per cent. */
final readonly class PairRow
{
    private function __construct(
        public string $pair,
        public string $other,
        public int $otherN,
        public string $here,
        public int $n,
        public string $difference,
        public string $percent,
    ) {
    }

    /** @return list<self> */
    public static function all(MetricComparison $c): array
    {
        [$decimals, $unit] = [$c->here->decimals, $c->here->unit];
        $amount = static fn (float $v): string => Numbers::amount($v, $decimals, $unit);

        return array_map(static fn (Pair $p): self => new self(
            $p->text, $amount($p->a), $p->na, $amount($p->b), $p->nb, Numbers::signed(
                $p->b - $p->a, Digits::decimals(abs($p->b - $p->a), $decimals), Numbers::differenceUnit($unit),
            ),
            $p->percent() === null ? '' : Numbers::signed($p->percent(), Digits::decimals(abs($p->percent()), 0), '%'),
        ), $c->matching->table ?? []);
    }
}
