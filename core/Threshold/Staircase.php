<?php

declare(strict_types=1);

namespace Lustrum\Core\Threshold;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\NotEstimable;
use Lustrum\Core\Statistics\NoValues;

/**
 * Up after a hold, down after a failure: Dixon and Mood (1948), J. Amer. Statist. Assoc. 43, 109 (`threshold.staircase`).
 *
 * The rarer outcome is used (failures on a tie). The standard error is the usual fit to their chart of G,
 * (6·sd + step)/(7·√N).
 */
final readonly class Staircase
{
    /** @param bool $reliable false where the outcomes bracket too little for the spread to be told */
    private function __construct(
        public float $mean,
        public float $sd,
        public float $se,
        public bool $reliable,
        public int $used,
    ) {
    }

    /**
     * @param list<float> $levels in order
     * @param list<bool>  $held
     *
     * @throws InvalidInput|NoValues|NotEstimable
     */
    public static function of(array $levels, array $held, float $step): self
    {
        if ($levels === []) {
            throw NoValues::given('levels');
        }
        if (count($levels) !== count($held)) {
            throw InvalidInput::because(sprintf('There are %d levels and %d outcomes.', count($levels), count($held)), 'held');
        }
        if (!($step > 0)) {
            throw InvalidInput::because('The step must be above nought.', 'step');
        }
        $failures = count(array_filter($held, static fn (bool $h): bool => !$h));
        $useFailures = $failures <= count($held) - $failures;
        $used = array_values(array_filter($levels, static fn (int $i): bool => $held[$i] !== $useFailures, ARRAY_FILTER_USE_KEY));
        if ($used === []) {
            throw NotEstimable::because(
                'outcomes.same', 'All outcomes are the same, so the threshold lies beyond the levels that were tried.', 'held',
            );
        }
        $lowest = min($used);
        $n = count($used);
        $a = $b = 0.0;
        foreach ($used as $level) {
            $steps = ($level - $lowest) / $step;
            if (abs($steps - round($steps)) > 1e-6) {
                throw InvalidInput::because(sprintf('%s does not lie on the steps of the staircase.', $level), 'levels');
            }
            $a += round($steps);
            $b += round($steps) ** 2;
        }
        $bracket = ($n * $b - $a * $a) / ($n * $n);
        $reliable = $bracket > 0.3;
        $sd = $reliable ? 1.62 * $step * ($bracket + 0.029) : 0.53 * $step;

        return new self($lowest + $step * ($a / $n + ($useFailures ? -0.5 : 0.5)), $sd, (6 * $sd + $step) / (7 * sqrt($n)), $reliable, $n);
    }
}
