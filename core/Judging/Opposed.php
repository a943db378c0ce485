<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Alike\AlikeRuns;
use Lustrum\Core\Alike\Alone;
use Lustrum\Core\Alike\CellDifference;
use Lustrum\Core\Alike\CompareWithin;
use Lustrum\Core\Alike\Matched;
use Lustrum\Core\Alike\Stratum;
use Lustrum\Core\NotEstimable;
use Lustrum\Core\Statistics\Repeats;

/** The values of one metric on two sides, opposed by what is alike. */
final readonly class Opposed
{
    /** @param CompareWithin|null $within null where nothing of one side is like anything of the other */
    private function __construct(
        public Pairing $pairing,
        private Repeats $repeats,
        public ?CompareWithin $within,
    ) {
    }

    /** @param Measured $theirs what it is compared with */
    public static function of(Measured $mine, Measured $theirs, Terms $terms): self
    {
        $pairing = Pairing::of([...$theirs->sided('a'), ...$mine->sided('b')]);
        $repeats = $terms->repeats($mine->unit, max($mine->step, $theirs->step));

        return new self($pairing, $repeats, self::within($pairing, $terms, $repeats, $terms->confidence()));
    }

    /** The same at the confidence of a claim to lie within something. */
    public function lying(Terms $terms): ?CompareWithin
    {
        return self::within($this->pairing, $terms, $this->repeats, $terms->confidenceWithin());
    }

    private static function within(Pairing $pairing, Terms $terms, Repeats $repeats, float $confidence): ?CompareWithin
    {
        try {
            return $pairing->runs === [] ? null : CompareWithin::of(
                $pairing->runs, $confidence, $terms->scaleOf($pairing->runs), 1, $repeats,
            );
        } catch (NotEstimable) {
            return null;
        }
    }

    /**
     * Half-width of the interval of a mean within what pairs the runs, so that raters who differ do not hide what they agree on:
     * that of the difference over √2 (Loftus and Masson 1994, Psychon. Bull. Rev. 1, 476). Null where nothing pairs them.
     */
    public function withinBlocks(): ?float
    {
        $d = $this->within?->difference;

        return $this->pairing->blocks === [] || $d?->low === null || $d->high === null ? null : ($d->high - $d->low) / 2 / M_SQRT2;
    }

    /**
     * What stands on one side alone, as it is said.
     *
     * @param list<Alone> $alone
     *
     * @return list<string>
     */
    public function said(array $alone): array
    {
        return array_values(array_unique(array_map(fn (Alone $a): string => $this->pairing->said($a->cell, $a->block), $alone)));
    }

    /** @return list<Pair> all that belongs together, by first appearance; none where there is one stratum alone */
    public function pairs(): array
    {
        $strata = $this->within === null ? [] : Matched::of($this->pairing->runs)->strata();
        $mean = static fn (array $of): float => array_sum($of) / max(1, count($of));

        return count($strata) < 2 ? [] : array_map(fn (Stratum $s): Pair => new Pair(
            $this->pairing->said($s->cell, $s->block), $mean($s->a), count($s->a), $mean($s->b), count($s->b),
        ), $strata);
    }

    /**
     * @param 'a'|'b' $side
     *
     * @return list<string> levels that one side was run at, as they are said; none where there are no levels
     */
    public function levels(string $side): array
    {
        $of = array_map(fn (AlikeRuns $r): string => $r->side === $side ? $this->pairing->texts[$r->cell] ?? '' : '', $this->pairing->runs);

        return array_values(array_unique(array_filter($of, static fn (string $level): bool => $level !== '')));
    }

    /** @return list<CellDifference> with the levels as they are said; none where there is one cell without levels */
    public function cells(): array
    {
        $cells = $this->within->cells ?? [];

        return count($cells) === 1 && ($this->pairing->texts[$cells[0]->cell] ?? '') === '' ? [] : array_map(
            fn (CellDifference $c): CellDifference => new CellDifference(
                $this->pairing->texts[$c->cell] ?? '', $c->na, $c->nb, $c->a, $c->b, $c->difference,
            ),
            $cells,
        );
    }

    /** @return list<string> */
    public function opposed(): array
    {
        return array_map(fn (string $cell): string => $this->pairing->texts[$cell] ?? '', $this->within->opposed ?? []);
    }
}
