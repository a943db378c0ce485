<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Change\ChangeVerdict;
use Lustrum\Core\Change\JudgeChange;
use Lustrum\Core\Statistics\CompareProportions;
use Lustrum\Core\Statistics\Interval;
use Lustrum\Core\Statistics\Proportion;

/**
 * What came of a change that is meant to end a mode of failure: how often the mode showed before and after, of the runs in
 * which it could have shown.
 */
final readonly class ModeSeen
{
    private function __construct(
        public string $mode,
        public int $failed,
        public int $tried,
        public int $failedBefore,
        public int $triedBefore,
        public ?Interval $difference,
        public ChangeVerdict $verdict,
    ) {
    }

    public static function of(Mode $mode, Build $build, ?Build $parent, float $confidence): self
    {
        $tried = $mode->tried[$build->id] ?? 0;
        $before = $parent === null ? 0 : $mode->tried[$parent->id] ?? 0;
        // A failure that happened outside a run counts against no run.
        $failed = min($tried, $mode->failures[$build->id] ?? 0);
        $failedBefore = $parent === null ? 0 : min($before, $mode->failures[$parent->id] ?? 0);
        if ($tried === 0 || $before === 0) {
            return new self($mode->mode, $failed, $tried, $failedBefore, $before, null, ChangeVerdict::NobodyLooked);
        }
        $difference = CompareProportions::of(
            Proportion::of($failedBefore, $before), Proportion::of($failed, $tried), $confidence,
        )->difference;

        return new self($mode->mode, $failed, $tried, $failedBefore, $before, $difference, JudgeChange::towards(-1, $difference));
    }
}
