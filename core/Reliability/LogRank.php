<?php

declare(strict_types=1);

namespace Lustrum\Core\Reliability;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\NotEstimable;
use Lustrum\Core\Statistics\Distribution\ChiSquare;
use Lustrum\Core\Statistics\LeastSquares;

/** Do groups live equally long? Mantel (1966), Peto and Peto (1972). */
final readonly class LogRank
{
    private function __construct(
        public float $chi2,
        public int $df,
        public float $p,
    ) {
    }

    /**
     * @param list<Lives> $groups at least two
     *
     * @throws InvalidInput|NotEstimable
     */
    public static function of(array $groups): self
    {
        if (count($groups) < 2) {
            throw InvalidInput::because('At least two groups are compared.', 'groups');
        }
        $times = array_values(array_unique(array_merge(...array_map(static fn (Lives $l): array => $l->eventTimes(), $groups))));
        if ($times === []) {
            throw NotEstimable::because(
                'events.tooFew', 'Nothing ended with the event in any group, so the groups cannot be told apart.', 'groups',
            );
        }
        $k = count($groups);
        $excess = array_fill(0, $k, 0.0);
        $variance = array_fill(0, $k, array_fill(0, $k, 0.0));
        foreach ($times as $time) {
            $risk = array_map(static fn (Lives $l): int => $l->atRisk($time), $groups);
            $events = array_map(static fn (Lives $l): int => $l->eventsAt($time), $groups);
            $n = array_sum($risk);
            $d = array_sum($events);
            $spread = $n > 1 ? $d * ($n - $d) / ($n - 1) : 0.0;
            for ($i = 0; $i < $k; ++$i) {
                $excess[$i] += $events[$i] - $d * $risk[$i] / $n;
                for ($j = 0; $j < $k; ++$j) {
                    $variance[$i][$j] += $spread * $risk[$i] / $n * (($i === $j ? 1 : 0) - $risk[$j] / $n);
                }
            }
        }
        // The last group follows from the others; solve V·x = z, then χ² = z·x.
        $size = $k - 1;
        $columns = [];
        for ($j = 0; $j < $size; ++$j) {
            $columns[] = array_map(static fn (int $i): float => $variance[$i][$j], range(0, $size - 1));
        }
        $z = array_slice($excess, 0, $size);
        $fit = LeastSquares::fit($columns, $z);
        if ($fit->rank < $size) {
            throw NotEstimable::because(
                'groups.apart', 'The groups were never at risk at the same time, so they cannot be compared.', 'groups',
            );
        }
        $chi2 = array_sum(array_map(static fn (float $a, float $b): float => $a * $b, $z, $fit->coefficients));

        return new self($chi2, $size, ChiSquare::upper($chi2, $size));
    }
}
