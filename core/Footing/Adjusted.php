<?php

declare(strict_types=1);

namespace Lustrum\Core\Footing;

use Lustrum\Core\NotEstimable;
use Lustrum\Core\Statistics\NoValues;
use Lustrum\Core\Statistics\Sample;

/** Two means brought to one value of a condition whose effect is known. */
final readonly class Adjusted
{
    private function __construct(
        public string $condition,
        public float $at,
        public float $a,
        public float $b,
        public float $difference,
    ) {
    }

    /**
     * @param list<float> $a
     * @param list<float> $b
     * @param float|null  $at null: where the first side was
     *
     * @return self|null null where the condition is not in numbers on both sides
     *
     * @throws NotEstimable|NoValues
     */
    public static function of(string $condition, Level $levelA, Level $levelB, array $a, array $b, Effect $effect, ?float $at): ?self
    {
        if ($levelA->numbers === [] || $levelB->numbers === []) {
            return null;
        }
        [$wasA, $wasB] = [Sample::of($levelA->numbers)->mean, Sample::of($levelB->numbers)->mean];
        $at ??= $wasA;
        [$movedA, $movedB] = [
            $effect->moved(Sample::of($a, 'results/a')->mean, $wasA, $at), $effect->moved(Sample::of($b, 'results/b')->mean, $wasB, $at),
        ];

        return new self($condition, $at, $movedA, $movedB, $movedB - $movedA);
    }
}
