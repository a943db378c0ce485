<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Alike\AlikeRuns;
use Lustrum\Core\Alike\CompareProportionsWithin;
use Lustrum\Core\Change\ChangeVerdict;
use Lustrum\Core\Change\JudgeChange;
use Lustrum\Core\CoreException;
use Lustrum\Core\Statistics\Interval;

/**
 * What came of a change that is meant to end a mode of failure: how often the mode showed before and after, of the runs in
 * which it could have shown, asked the same and as hard on both; told by the exact test, and not before what was planned.
 */
final readonly class ModeSeen
{
    /** @param bool $isApart were both tried, and never as hard or asked the same? */
    private function __construct(
        public string $mode,
        public int $failed,
        public int $tried,
        public int $failedBefore,
        public int $triedBefore,
        public ?Interval $difference,
        public ChangeVerdict $verdict,
        public ?float $p = null,
        public bool $isApart = false,
    ) {
    }

    public static function of(Mode $mode, Build $build, ?Build $parent, Terms $terms): self
    {
        $here = $mode->cells[$build->id] ?? [];
        $there = $parent === null ? [] : $mode->cells[$parent->id] ?? [];
        $count = static fn (array $cells, string $what): int => array_sum(array_column($cells, $what));
        if ($count($here, 'tried') === 0 || $count($there, 'tried') === 0) {
            return new self(
                $mode->mode, $count($here, 'failed'), $count($here, 'tried'), $count($there, 'failed'), $count($there, 'tried'), null,
                ChangeVerdict::NobodyLooked,
            );
        }
        [$both, $before] = [array_intersect_key($here, $there), array_intersect_key($there, $here)];
        $of = [$mode->mode, $count($both, 'failed'), $count($both, 'tried'), $count($before, 'failed'), $count($before, 'tried')];
        try {
            $within = CompareProportionsWithin::of([...self::runs('a', $before), ...self::runs('b', $both)], $terms->confidence());
        } catch (CoreException) {
            return new self(...[...$of, null, ChangeVerdict::CannotTell, null, true]);
        }
        $verdict = $terms->tells() ? JudgeChange::towards(-1, $within->difference) : ChangeVerdict::CannotTell;

        return new self(...[...$of, $within->difference, $verdict, $within->p]);
    }

    /**
     * @param 'a'|'b'                                         $side
     * @param array<string, array{failed: int, tried: int}> $cells
     *
     * @return list<AlikeRuns> 1 where it showed
     */
    private static function runs(string $side, array $cells): array
    {
        $out = [];
        foreach ($cells as $cell => ['failed' => $failed, 'tried' => $tried]) {
            $values = [...array_fill(0, $failed, 1.0), ...array_fill(0, $tried - $failed, 0.0)];
            if ($values !== []) {
                $out[] = new AlikeRuns($side, $cell, $values);
            }
        }

        return $out;
    }
}
