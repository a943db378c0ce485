<?php

declare(strict_types=1);

namespace Lustrum\Core\Reliability;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\NotEstimable;
use Lustrum\Core\Statistics\Distribution\ChiSquare;

/** Do groups live equally long? Mantel (1966), Peto and Peto (1972); exact while the ways to deal them are few. */
final readonly class LogRank
{
    private function __construct(
        public float $chi2,
        public int $df,
        public float $p,
        /** @var 'exact'|'chi2' */
        public string $method,
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
            [$excess, $variance] = LogRankWays::past(
                array_map(static fn (Lives $l): int => $l->atRisk($time), $groups),
                array_map(static fn (Lives $l): int => $l->eventsAt($time), $groups), $excess, $variance,
            );
        }
        [$chi2, $rank] = LogRankWays::chi2($excess, $variance);
        if ($rank < $k - 1) {
            throw NotEstimable::because(
                'groups.apart', 'The groups were never at risk at the same time, so they cannot be compared.', 'groups',
            );
        }
        $exact = LogRankWays::share($groups, $chi2);

        return new self($chi2, $k - 1, $exact ?? ChiSquare::upper($chi2, $k - 1), $exact === null ? 'chi2' : 'exact');
    }
}
