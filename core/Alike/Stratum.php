<?php

declare(strict_types=1);

namespace Lustrum\Core\Alike;

use Lustrum\Core\Statistics\Sample;

/** A cell, or a block within one, that both sides have: the values of each. */
final class Stratum
{
    /** @var array{Sample, Sample}|null of both sides, once they were asked for */
    private ?array $samples = null;

    /**
     * @param non-empty-list<float> $a
     * @param non-empty-list<float> $b
     */
    public function __construct(
        public readonly string $cell,
        public readonly ?string $block,
        public readonly array $a,
        public readonly array $b,
    ) {
    }

    /** @return array{Sample, Sample} */
    private function samples(): array
    {
        return $this->samples ??= [Sample::of($this->a), Sample::of($this->b)];
    }

    public function difference(): float
    {
        [$a, $b] = $this->samples();

        return $b->mean - $a->mean;
    }

    /** What its difference weighs beside those of others, where all have one spread: the inverse of its variance. */
    public function weight(): float
    {
        return count($this->a) * count($this->b) / (count($this->a) + count($this->b));
    }

    /**
     * The differences of several, by their weights.
     *
     * @param list<self> $strata one at least
     */
    public static function together(array $strata): float
    {
        $sum = array_sum(array_map(static fn (self $s): float => $s->weight() * $s->difference(), $strata));

        return $sum / array_sum(array_map(static fn (self $s): float => $s->weight(), $strata));
    }

    public function n(): int
    {
        return count($this->a) + count($this->b);
    }

    /** Sum of squares within its two sides. */
    public function squares(): float
    {
        [$a, $b] = $this->samples();

        return $a->squares() + $b->squares();
    }

    /** @param callable(float): float $of */
    public function mapped(callable $of): self
    {
        return new self($this->cell, $this->block, array_map($of, $this->a), array_map($of, $this->b));
    }
}
