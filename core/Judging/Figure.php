<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Statistics\Interval;
use Lustrum\Core\Statistics\Natural;

/** A number with its unit, interval and count, and the decimals that it was measured to; not yet in words. */
final readonly class Figure
{
    /**
     * @param int                 $n   runs behind it; nought where it stands for more than one group
     * @param list<'low'|'high'> $cut ends that were cut off at what there can be
     * @param Worded|null        $words what it stands for where its values are words: then it is no number
     */
    public function __construct(
        public float $value,
        public ?float $low,
        public ?float $high,
        public string $unit,
        public int $decimals,
        public int $n,
        public array $cut = [],
        public ?Worded $words = null,
    ) {
    }

    /** The same in a unit of another name: of a difference, points rather than per cents. */
    public function called(string $unit): self
    {
        return new self($this->value, $this->low, $this->high, $unit, $this->decimals, $this->n, $this->cut, $this->words);
    }

    /** The same as words, which have no interval; null: it is a number. */
    public function worded(?Worded $words): self
    {
        return $words === null ? $this : new self($words->place, null, null, $this->unit, $this->decimals, $this->n, [], $words);
    }

    /** Cut off at the natural limits of its scale; what was told of it before stays as it is. */
    public function within(Natural $natural): self
    {
        $cut = [...($natural->cuts($this->low) ? ['low'] : []), ...($natural->cuts($this->high) ? ['high'] : [])];
        $clip = static fn (?float $end): ?float => $end === null ? null : $natural->clip($end);

        return new self($this->value, $clip($this->low), $clip($this->high), $this->unit, $this->decimals, $this->n, $cut, $this->words);
    }

    public static function of(Interval $interval, string $unit, int $decimals, int $n = 0): self
    {
        return new self($interval->estimate, $interval->low, $interval->high, $unit, $decimals, $n);
    }
}
