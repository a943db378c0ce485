<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Run\Alikeness;
use Lustrum\Core\Run\RunFact;
use Lustrum\Core\Statistics\UntilWidth;

/** How many runs a trial takes until a mean is known to a half-width: told by the runs of its first stage (Stein's two stages). */
final class FirstStage
{
    /** Fewer values say next to nothing of how far they spread. */
    public const FEWEST = 3;

    /**
     * At several levels each has its own spread, and takes its own number.
     *
     * @param list<RunFact> $runs      of the trial, as they were made
     * @param string        $channel   key
     * @param float         $halfWidth in SI
     * @param int           $first     runs of the first stage
     *
     * @return int|null null until as many have ended, with three values or more at each level
     */
    public static function total(array $runs, string $channel, float $halfWidth, int $first, float $confidence): ?int
    {
        $cells = [];
        $ended = 0;
        foreach ($runs as $run) {
            if (!$run->says()) {
                continue;
            }
            ++$ended;
            $value = self::value($run, $channel);
            if ($value !== null) {
                $cells[Alikeness::of($run)->cell][] = $value;
            }
            if ($ended >= $first && $cells !== [] && min(array_map(count(...), $cells)) >= self::FEWEST) {
                return array_sum(array_map(
                    static fn (array $values): int => UntilWidth::of($values, $halfWidth, $confidence)->total, $cells,
                ));
            }
        }

        return null;
    }

    private static function value(RunFact $run, string $channel): ?float
    {
        foreach ($run->readings as $reading) {
            if ($reading->channel === $channel && $reading->kind === ResultKind::Equal) {
                return $reading->si;
            }
        }

        return null;
    }
}
