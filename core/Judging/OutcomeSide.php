<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Statistics\Proportion;
use Lustrum\Core\Threshold\Ladder;

/**
 * How often it held on one build, each method, level and state of the design by itself: what was tried otherwise is no share of
 * the same.
 */
final readonly class OutcomeSide
{
    /**
     * @param int         $tried        runs that held or failed in it
     * @param list<Rung>  $rungs        lowest first where they have an order, else as they were first tried; one without a text where
     *     all runs are alike
     * @param string|null $highestHeld  the highest level at and below which nothing failed
     * @param string|null $lowestFailed
     * @param bool        $isCensored   nothing failed up to the highest level
     */
    private function __construct(
        public string $build,
        public string $letter,
        public int $tried,
        public array $rungs,
        public ?string $highestHeld,
        public ?string $lowestFailed,
        public bool $isCensored,
    ) {
    }

    public static function of(Build $build, Answers $answers, float $confidence): self
    {
        $rungs = self::rungs($answers, $confidence);
        $ordered = array_values(array_filter($rungs, static fn (Rung $r): bool => $r->size !== null));
        $ladder = $ordered === [] ? null : Ladder::of(array_map(
            static fn (Rung $r): array => ['level' => (float) $r->size, 'held' => $r->held, 'tried' => $r->tried], $ordered,
        ), $confidence);
        $text = static function (?float $level) use ($ordered): ?string {
            foreach ($ordered as $rung) {
                if ($rung->size === $level) {
                    return $rung->text;
                }
            }

            return null;
        };

        return new self(
            $build->id, $build->letter, $answers->tried, $rungs, $text($ladder?->highestHeld), $text($ladder?->lowestFailed),
            $ladder !== null && $ladder->censored,
        );
    }

    /** @return list<Rung> */
    private static function rungs(Answers $answers, float $confidence): array
    {
        $counts = $methods = $designs = [];
        foreach ($answers->groups as $group) {
            $methods[$group['method']] = $designs[$group['design']->key] = true;
            $key = $group['alike']->cell."\x1d".$group['design']->key;
            $known = $counts[$key] ?? ['held' => 0, 'tried' => 0, 'onlyJust' => 0] + $group;
            $counts[$key] = [
                'held' => $known['held'] + $group['held'], 'tried' => $known['tried'] + $group['tried'],
                'onlyJust' => $known['onlyJust'] + $group['onlyJust'],
            ] + $known;
        }
        $cells = array_map(static fn (array $c): array => [
            'said' => implode(' · ', array_filter([count($methods) > 1 ? $c['method'] : '', $c['alike']->level()])),
            'design' => $c['design'], 'of' => $c,
        ], array_values($counts));
        // Levels of two methods or of two states may be called alike, and are no one ladder.
        $isLadder = count($methods) === 1 && count($designs) === 1;
        $rungs = array_map(static function (array $state) use ($confidence, $isLadder): Rung {
            ['said' => $said, 'last' => $c] = $state;
            $share = Proportion::of($c['held'], $c['tried'])->interval($confidence);
            $size = $isLadder && $c['alike']->isKnown() ? $c['alike']->size : null;

            return new Rung($said, $size, $c['held'], $c['tried'], (float) $share->low, (float) $share->high, $c['onlyJust']);
        }, States::of($cells, \PHP_INT_MAX));
        usort($rungs, static fn (Rung $a, Rung $b): int => [$a->size === null, $a->size] <=> [$b->size === null, $b->size]);

        return $rungs;
    }
}
