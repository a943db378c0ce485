<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Statistics\Proportion;
use Lustrum\Core\Threshold\Ladder;

/** How often it held on one build, level by level where the runs were made at levels. */
final readonly class OutcomeSide
{
    /**
     * @param list<Rung>  $rungs        lowest first where they have an order, else as they were first tried
     * @param string|null $highestHeld  the highest level at and below which nothing failed
     * @param string|null $lowestFailed
     * @param bool        $isCensored   nothing failed up to the highest level
     */
    private function __construct(
        public string $build,
        public string $letter,
        public int $held,
        public int $tried,
        public int $onlyJust,
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
            $build->id, $build->letter, $answers->held, $answers->tried, $answers->onlyJust, $rungs, $text($ladder?->highestHeld),
            $text($ladder?->lowestFailed), $ladder !== null && $ladder->censored,
        );
    }

    /** @return list<Rung> none where the runs were made at no level */
    private static function rungs(Answers $answers, float $confidence): array
    {
        $counts = [];
        foreach ($answers->groups as $group) {
            $alike = $group['alike'];
            $counts[$alike->cell] ??= ['alike' => $alike, 'held' => 0, 'tried' => 0];
            $counts[$alike->cell]['held'] += $group['held'];
            $counts[$alike->cell]['tried'] += $group['tried'];
        }
        $texts = array_filter($counts, static fn (array $c): bool => $c['alike']->said() !== '');
        $rungs = array_values(array_map(static function (array $c) use ($confidence): Rung {
            $share = Proportion::of($c['held'], $c['tried'])->interval($confidence);
            $size = $c['alike']->isKnown() ? $c['alike']->size : null;

            return new Rung($c['alike']->said(), $size, $c['held'], $c['tried'], (float) $share->low, (float) $share->high);
        }, $texts === [] ? [] : $counts));
        // Levels of two methods may be called alike, and are no one ladder.
        $sizes = array_map(static fn (Rung $r): string => (string) $r->size, $rungs);
        if (count(array_unique($sizes)) < count($sizes)) {
            return array_map(static fn (Rung $r): Rung => new Rung($r->text, null, $r->held, $r->tried, $r->low, $r->high), $rungs);
        }
        usort($rungs, static fn (Rung $a, Rung $b): int => [$a->size === null, $a->size] <=> [$b->size === null, $b->size]);

        return $rungs;
    }
}
