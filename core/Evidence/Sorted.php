<?php

declare(strict_types=1);

namespace Lustrum\Core\Evidence;

use Lustrum\Core\Outcome\Result;
use Lustrum\Core\Outcome\ResultKind;

/**
 * Values, and bounds by the side from which they come.
 *
 * A bound on the good side ends where the value may only be better still; one on the bad side may hide any value.
 */
final readonly class Sorted
{
    /**
     * @param list<float> $values
     * @param list<float> $good
     * @param list<float> $bad
     */
    private function __construct(
        private Direction $direction,
        public array $values,
        public array $good,
        public array $bad,
    ) {
    }

    /** @param list<Result> $results */
    public static function of(Direction $direction, array $results): self
    {
        $good = $direction === Direction::AtLeast ? ResultKind::AtLeast : ResultKind::AtMost;
        $sorted = ['values' => [], 'good' => [], 'bad' => []];
        foreach ($results as $result) {
            if ($result->value !== null) {
                $sorted[$result->kind === ResultKind::Equal ? 'values' : ($result->kind === $good ? 'good' : 'bad')][] = $result->value;
            }
        }

        return new self($direction, $sorted['values'], $sorted['good'], $sorted['bad']);
    }

    public function withoutBounds(): self
    {
        return new self($this->direction, $this->values, [], []);
    }

    public function count(): int
    {
        return count($this->values) + count($this->good) + count($this->bad);
    }

    /** Can a spread be estimated? */
    public function differ(): bool
    {
        return count(array_unique($this->values, \SORT_REGULAR)) > 1;
    }

    /** Is there a run that went as far as the limit asks, whatever came after? */
    public function reaches(float $limit): bool
    {
        foreach ($this->good as $value) {
            if ($this->direction->met($value, $limit)) {
                return true;
            }
        }

        return false;
    }

    /** Is there a run that went beyond the limit on the wrong side, however far? */
    public function passes(float $limit): bool
    {
        foreach ($this->bad as $value) {
            if (!$this->direction->met($value, $limit)) {
                return true;
            }
        }

        return false;
    }

    public function mean(): ?float
    {
        return $this->values === [] ? null : array_sum($this->values) / count($this->values);
    }
}
