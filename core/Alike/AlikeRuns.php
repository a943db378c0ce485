<?php

declare(strict_types=1);

namespace Lustrum\Core\Alike;

use Lustrum\Core\Outcome\ResultKind;

/** What runs of one side came to that may be put together with the same others: one of them, or thousands. */
final readonly class AlikeRuns
{
    public string $stratum;

    /**
     * @param string                $side    the name of what is compared: a build, an arm, an article, a lot, a setting
     * @param string                $cell    levels of all factors, as one word
     * @param non-empty-list<float> $values
     * @param string|null           $block   what pairs belong together by; null where nothing pairs them
     * @param string|null           $article that was tried; null: each run stands for itself
     * @param ResultKind            $kind    values, or bounds of them
     */
    public function __construct(
        public string $side,
        public string $cell,
        public array $values,
        public ?string $block = null,
        public ?string $article = null,
        public ResultKind $kind = ResultKind::Equal,
    ) {
        $this->stratum = $block === null ? $cell : $cell."\x1f".$block;
    }

    public static function one(
        string $side, string $cell, float $value, ?string $block = null, ?string $article = null, ResultKind $kind = ResultKind::Equal,
    ): self {
        return new self($side, $cell, [$value], $block, $article, $kind);
    }

    /** The same, of a side that is called otherwise. */
    public function of(string $side): self
    {
        return new self($side, $this->cell, $this->values, $this->block, $this->article, $this->kind);
    }

    /** @param non-empty-list<float> $values */
    public function as(array $values): self
    {
        return new self($this->side, $this->cell, $values, $this->block, $this->article, $this->kind);
    }

    public function n(): int
    {
        return count($this->values);
    }

    /**
     * Values of an article within a stratum count as one (Hurlbert 1984, Ecol. Monogr. 54, 187).
     *
     * @param list<self> $runs
     *
     * @return list<self> values, where bounds were taken at their face
     */
    public static function averaged(array $runs): array
    {
        $values = $of = [];
        foreach ($runs as $i => $some) {
            $key = implode("\x1f", [$some->side, $some->stratum, $some->article ?? "\x1f".$i]);
            $of[$key] ??= $some;
            foreach ($some->values as $value) {
                $values[$key][] = $value;
            }
        }

        return array_values(array_map(static fn (self $some, array $values): self => new self(
            $some->side, $some->cell, $some->article === null ? $values : [array_sum($values) / count($values)], $some->block,
            $some->article,
        ), $of, $values));
    }

    /**
     * @param list<self> $runs
     *
     * @return int how many values there are
     */
    public static function count(array $runs, ?string $side = null): int
    {
        return array_sum(array_map(static fn (self $r): int => $side === null || $r->side === $side ? $r->n() : 0, $runs));
    }

    /**
     * Does one article stand in more than one stratum? With a fresh one at each, strata are all that pairs.
     *
     * @param list<self> $runs
     */
    public static function doArticlesRecur(array $runs): bool
    {
        $in = [];
        foreach ($runs as $some) {
            if ($some->article !== null && ($in[$some->article] ??= $some->stratum) !== $some->stratum) {
                return true;
            }
        }

        return false;
    }

    /** @param list<self> $runs */
    public static function arePositive(array $runs): bool
    {
        foreach ($runs as $some) {
            if (min($some->values) <= 0) {
                return false;
            }
        }

        return true;
    }
}
