<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Alike\AlikeRuns;
use Lustrum\Core\Alike\CompareSides;
use Lustrum\Core\CoreException;
use Lustrum\Core\Statistics\Interval;

/** Two builds that were never run alike, compared through a third that each of them met, with the wider interval of both ways. */
final readonly class Chained
{
    private const HERE = 'here';
    private const OTHER = 'other';
    private const VIA = 'via';

    /** @param string $via letter of the third build */
    private function __construct(
        public string $via,
        public Figure $difference,
        public ?float $p,
        public bool $told,
    ) {
    }

    /**
     * @param list<array{string, Measured}> $thirds letter and values, those to be tried first in front
     *
     * @return self|null null where none of them joins the two, or bounds are among the values
     */
    public static function of(Measured $mine, Measured $theirs, array $thirds, Terms $terms): ?self
    {
        foreach ($thirds as [$letter, $third]) {
            if ($third->values === [] || $mine->bounds() + $theirs->bounds() + $third->bounds() > 0 || $third->unit !== $mine->unit) {
                continue;
            }
            try {
                $found = CompareSides::of(
                    [...self::runs(self::HERE, $mine), ...self::runs(self::OTHER, $theirs), ...self::runs(self::VIA, $third)],
                    $terms->confidence(),
                );
            } catch (CoreException) {
                continue;
            }
            foreach ($found->pairs as $pair) {
                if ([$pair->a, $pair->b] === [self::OTHER, self::HERE] || [$pair->a, $pair->b] === [self::HERE, self::OTHER]) {
                    $turned = $pair->a === self::HERE ? -1.0 : 1.0;
                    $figure = Figure::of(self::turned($pair->difference, $turned), $mine->unit, max($mine->decimals, $theirs->decimals));

                    return new self($letter, $figure, $pair->adjusted, $pair->told && $terms->tells());
                }
            }
        }

        return null;
    }

    private static function turned(Interval $i, float $sign): Interval
    {
        return $sign > 0 ? $i : new Interval(-$i->estimate, $i->high === null ? null : -$i->high, $i->low === null ? null : -$i->low);
    }

    /** @return list<AlikeRuns> */
    private static function runs(string $side, Measured $m): array
    {
        $out = [];
        foreach ($m->sided('b') as $one) {
            if ($one->values !== [] && $one->alike->isKnown()) {
                $out[] = new AlikeRuns($side, $one->alike->cell, $one->values);
            }
        }

        return $out;
    }
}
