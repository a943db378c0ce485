<?php

declare(strict_types=1);

namespace Lustrum\Core\Failure;

use Lustrum\Core\InvalidInput;

/**
 * A failure closes only where it happened: with a fix, as hard or harder, and as often as leaves an unfixed design at most
 * 1 − confidence of passing (`failure.status`; success-run theorem). This is the case of one factor of severity.
 */
final readonly class Closing
{
    /**
     * @param string|null $by               the run that closed it, else the last recurrence
     * @param float       $needs            the highest severity at which it happened
     * @param int         $held             runs since the last recurrence that held there or harder
     * @param int         $milder           that held below it, which closes nothing
     * @param float       $chanceIfNotFixed of passing these all the same
     */
    private function __construct(
        public ClosingState $state,
        public ?string $by,
        public float $needs,
        public int $held,
        public int $milder,
        public int $holdsNeeded,
        public float $chanceIfNotFixed,
    ) {
    }

    /**
     * @param float          $severity at which it happened
     * @param int            $failed   of the runs before the fix, at that severity or milder
     * @param list<LaterRun> $runs     in the order in which they were made
     *
     * @throws InvalidInput
     */
    public static function of(float $severity, int $failed, int $tried, array $runs, float $confidence): self
    {
        if ($failed < 0 || $failed > $tried) {
            throw InvalidInput::because('It cannot have failed in more runs than were made.', 'failure/failed');
        }
        $needed = Closed::holdsNeeded($failed, $tried, $confidence);
        $needs = $severity;
        $held = $milder = 0;
        $closed = $last = null;
        $wasClosed = false;
        foreach ($runs as $run) {
            if (!$run->carriesFix || $run->outcome === LaterOutcome::Other) {
                continue;
            }
            if ($run->outcome === LaterOutcome::Recurred) {
                $needs = max($needs, $run->severity);
                [$held, $milder, $closed, $last] = [0, 0, null, $run->id];
            } elseif ($run->severity < $needs) {
                ++$milder;
            } elseif (++$held === $needed) {
                [$closed, $wasClosed] = [$run->id, true];
            }
        }
        $state = match (true) {
            $closed !== null => ClosingState::Closed,
            $held > 0 => ClosingState::Holding,
            $wasClosed => ClosingState::Reopened,
            default => ClosingState::Open,
        };

        return new self($state, $closed ?? $last, $needs, $held, $milder, $needed, Closed::chanceIfNotFixed($failed, $tried, $held));
    }
}
