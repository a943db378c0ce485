<?php

declare(strict_types=1);

namespace Lustrum\Core\Statistics;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\NotEstimable;
use Lustrum\Core\Statistics\Distribution\StudentT;

/** How many runs a mean needs to be known to ± d (`stats.untilWidth`): two stages, Stein (1945), Ann. Math. Statist. 16, 243. */
final readonly class UntilWidth
{
    /** A spread of two values says next to nothing of how many are needed. */
    private const FIRST = 3;
    private const MOST = 1_000_000_000;

    private function __construct(
        public int $total,
        public int $further,
        public float $sd,
        public int $df,
    ) {
    }

    /**
     * @param list<float> $values of the first stage: three at least
     *
     * @throws InvalidInput|NotEstimable
     */
    public static function of(array $values, float $halfWidth, float $confidence): self
    {
        if (count($values) < self::FIRST) {
            throw InvalidInput::because('The first stage has three values at least.', 'values');
        }
        if ($halfWidth <= 0) {
            throw InvalidInput::because('A half-width is above nought.', 'halfWidth');
        }
        $sample = Sample::of($values);
        $half = StudentT::quantile(0.5 + $confidence / 2, $sample->n - 1) * (float) $sample->sd;
        $wanted = ($half / $halfWidth) ** 2;
        if ($wanted > self::MOST) {
            throw NotEstimable::because(
                'runs.tooMany', sprintf('More than %d runs would be needed for so narrow an interval.', self::MOST), 'halfWidth',
            );
        }
        $total = max($sample->n, (int) ceil($wanted - 1e-9));

        return new self($total, $total - $sample->n, (float) $sample->sd, $sample->n - 1);
    }
}
