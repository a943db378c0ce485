<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Weigh;

use Lustrum\Core\Alike\SideEffect;
use Lustrum\Core\Judging\Build;
use Lustrum\Core\Judging\SidesWithin;
use Lustrum\Core\Wording\SidesWords;

/** Sides within one build: arms, articles, lots, raters. */
final readonly class SidesRow
{
    /**
     * @param string             $kind  arm, article, lot, firmware, setting, state
     * @param list<SideMark>     $sides the highest first
     */
    private function __construct(
        public string $metric,
        public string $metricId,
        public string $kind,
        public string $title,
        public string $sentence,
        public string $unit,
        public array $sides,
        public bool $apart,
        public BearingView $bearing,
    ) {
    }

    /** @param Build $build that they are sides of */
    public static function of(SidesWithin $s, string $metric, bool $moreIsBetter, Build $build): self
    {
        return new self(
            $metric, $s->metric, $s->kind, SidesWords::title($s), SidesWords::sentence($s, $metric, $moreIsBetter), SidesWords::unit($s),
            array_map(static fn (SideEffect $e): SideMark => new SideMark(
                SidesWords::side($e->side), $e->n, $e->effect, SidesWords::effect($s, $e->side, $e->effect), self::groups($s, $e->side),
            ), $s->found->sides),
            $s->found->apart !== [], BearingView::of($s->bearing, $s->kind === 'state' ? [$build] : [], $s->metric, $metric),
        );
    }

    /** The groups that a side is in, as letters: what shares a letter cannot be told apart. */
    private static function groups(SidesWithin $s, string $side): string
    {
        $letters = '';
        foreach ($s->found->groups as $i => $group) {
            $letters .= in_array($side, $group, true) ? chr(ord('a') + $i % 26) : '';
        }

        return $letters;
    }
}
