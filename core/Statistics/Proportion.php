<?php

declare(strict_types=1);

namespace Lustrum\Core\Statistics;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\Statistics\Distribution\Beta;

/** Held n of m, with exact bounds (Clopper and Pearson 1934). */
final readonly class Proportion
{
    private function __construct(
        public int $held,
        public int $tried,
    ) {
    }

    /** @throws InvalidInput|NoValues */
    public static function of(int $held, int $tried): self
    {
        if ($held < 0 || $tried < 0 || $held > $tried) {
            throw InvalidInput::because(sprintf('%d held of %d tried is not possible.', $held, $tried), 'held');
        }
        if ($tried === 0) {
            throw NoValues::given('tried');
        }

        return new self($held, $tried);
    }

    /** Two-sided interval; 0 and 1 exactly where none or all held. */
    public function interval(float $confidence): Interval
    {
        $half = (1 - $confidence) / 2;

        return new Interval(
            $this->held / $this->tried, $this->lowerAt($half), 1 - (new self($this->tried - $this->held, $this->tried))->lowerAt($half),
        );
    }

    /** Wilson's score interval (1927), which Newcombe's interval of a difference is made from. */
    public function score(float $confidence): Interval
    {
        $z = Distribution\Normal::quantile(0.5 + $confidence / 2);
        $p = $this->held / $this->tried;
        $centre = ($p + $z * $z / (2 * $this->tried)) / (1 + $z * $z / $this->tried);
        $half = $z / (1 + $z * $z / $this->tried) * sqrt($p * (1 - $p) / $this->tried + $z * $z / (4 * $this->tried ** 2));

        return new Interval($p, $centre - $half, $centre + $half);
    }

    /** One-sided lower bound. */
    public function lower(float $confidence): float
    {
        return $this->lowerAt(1 - $confidence);
    }

    private function lowerAt(float $alpha): float
    {
        return match (true) {
            $this->held === 0 => 0.0,
            $this->held === $this->tried => $alpha ** (1 / $this->tried),
            default => Beta::quantile($alpha, $this->held, $this->tried - $this->held + 1),
        };
    }
}
