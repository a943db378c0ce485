<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Alike\AlikeRuns;
use Lustrum\Core\Alike\SideEffect;
use Lustrum\Core\CoreException;
use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Run\Configuration;

/**
 * Sides within one build against each other: its arms, its articles, lots, firmware, what it was set to, and what pairs its
 * runs, such as raters.
 *
 * Every level that two of them were run at is used, and what pairs the runs is taken out.
 */
final readonly class SidesWithin
{
    /** Stands for an article on which nothing is otherwise than its build has it. */
    public const AS_BUILT = "\x1d";

    /**
     * @param string           $kind       arm, article, lot, firmware, setting, parameter: one of several
     *     in which the variants differ, or state: what was changed on an article between two runs
     * @param string           $name       of the material, or of the setting; empty elsewhere
     * @param bool             $ofArticles does one article stand for a side?
     * @param list<BoundedSide> $bounded   sides with a bound among their runs: they are in no fit
     * @param list<Confounded> $confounded what varies together with the sides
     * @param int              $planned    variants of the build, run or not; nought: these are none
     * @param int              $out        of them, taken out before they were tried
     * @param int              $lost       of them, of which nothing but lost runs is there
     * @param list<Bearing> $bearing       where sides are states, what made them, until somebody says that it bears on nothing here
     * @param list<Turning> $turning       pairs that stand the other way round at some level
     * @param array<string, Worded> $worded where results are words, what each side came to
     */
    private function __construct(
        public string $metric,
        public string $kind,
        public string $name,
        public string $unit,
        public int $decimals,
        public SidesFound $found,
        public bool $ofArticles,
        public array $bounded,
        public Terms $terms,
        public array $confounded,
        public array $worded = [],
        public int $planned = 0,
        public int $out = 0,
        public array $bearing = [],
        public array $turning = [],
        public int $lost = 0,
    ) {
    }

    /**
     * @param string $unit in which the metric is thought of; empty: as it was read
     * @param Build|null $build whose variants were planned; null: nobody knows of others than were run
     *
     * @return list<self> where two sides or more were run alike
     */
    public static function of(Seen $seen, string $metric, string $unit, Terms $terms, ?Build $build = null): array
    {
        $out = [];
        $m = Measured::of($seen->asBuilt()->read($metric), $unit);
        $sided = $m->sided('b');
        $isOneEach = false;
        $grid = Grid::of($m, $seen, $build);
        foreach (self::kinds($m, $seen, $grid) as [$kind, $name]) {
            // Where one article stands for an arm, the articles are the arms over again.
            $one = $kind === 'article' && $isOneEach ? null : self::one(
                $metric, $m, $sided, $seen, $kind, $name, $terms, $build, $grid,
            );
            if ($one !== null) {
                $isOneEach = $isOneEach || ($kind === 'arm' && $one->ofArticles);
                $out[] = $one;
            }
        }
        $all = Measured::of($seen->read($metric), $unit);
        $states = count($all->bunches) === count($m->bunches) ? null : self::one(
            $metric, $all, $all->sided('b'), $seen, 'state', '', $terms, $build, $grid,
        );

        return $states === null ? $out : [...$out, $states];
    }

    /** @return list<array{string, string}> the kind of sides, and the material or setting */
    private static function kinds(Measured $m, Seen $seen, Grid $grid): array
    {
        $lots = $set = [];
        foreach ($m->bunches as $bunch) {
            $set += $bunch->set;
            $lots += $seen->configuration($bunch->circumstances->made)->lots;
        }
        $of = static fn (string $kind, array $names): array => array_map(
            static fn (string|int $name): array => [$kind, (string) $name], array_keys($names),
        );

        // What pairs the runs is taken out of each comparison: raters and days are no contestants.
        return [
            ['arm', ''], ...$of('parameter', array_flip($grid->names)), ['article', ''], ...$of('lot', $lots), ['firmware', ''],
            ...$of('setting', $set),
        ];
    }

    /**
     * @param list<Sided> $sided   all runs of the metric
     * @param Build|null  $build whose sides they are
     */
    private static function one(
        string $metric, Measured $m, array $sided, Seen $seen, string $kind, string $name, Terms $terms, ?Build $build,
        Grid $grid,
    ): ?self {
        $sides = $typed = [];
        $changed = $kind === 'state' ? self::changed($sided) : [];
        foreach ($sided as $i => $one) {
            $side = $one->bunch === null || ($kind === 'state' && !isset($changed[$one->article]))
                ? '' : self::side($one, $seen->configuration($one->bunch->circumstances->made), $kind, $name);
            if ($side !== '' && $one->alike->isKnown()) {
                $sides[$i] = $typed[mb_strtolower($side)] ??= $side;
            }
        }
        if (count(array_unique($sides)) < 2) {
            return null;
        }
        [$blocks] = Blocks::between($sided, $sides, $kind === 'article' ? 'article' : '');
        $runs = $texts = $bounds = [];
        foreach ($sides as $i => $side) {
            [$cell, $text] = self::level($sided[$i], $seen, $kind === 'parameter' ? $name : '', $grid);
            $texts[$cell] = $text;
            array_push($runs, ...$sided[$i]->runs($side, $cell, self::block($sided[$i], $side, $blocks, $changed)));
            $bounds += $sided[$i]->atLeast === [] && $sided[$i]->atMost === [] ? [] : [$side => true];
        }
        $names = array_values(array_unique($sides));
        $pairs = intdiv(count($names) * (count($names) - 1), 2);
        $bounded = array_map(
            static fn (string|int $s): BoundedSide => BoundedSide::of((string) $s, $runs, $terms, $pairs, $m->step), array_keys($bounds),
        );
        // One article is set to several things; an arm, a lot or a firmware has its own.
        $whole = array_values(array_filter($runs, static fn (AlikeRuns $r): bool => !isset($bounds[$r->side])));
        [$averaged, $ofArticles] = in_array($kind, ['article', 'setting', 'state'], true) ? [$whole, false] : self::byArticle($whole);
        // Words have no mean.
        $whole = $terms->words === [] ? $averaged : $whole;
        try {
            $found = $terms->words === [] ? SidesFound::of($whole, $terms, $texts) : SidesFound::byOrder($whole, $terms);
        } catch (CoreException) {
            if ($bounded === []) {
                return null;
            }
            $found = new SidesFound(array_map(
                static fn (string $s): SideEffect => new SideEffect($s, 0, null), array_values(array_diff($names, array_keys($bounds))),
            ));
        }

        $turning = $terms->words !== [] || ($kind !== 'parameter' && count($names) > 2) ? [] : Turning::among($whole, $terms, $texts);
        // What stands one way round at one level and the other at another has no single number.
        $found = Turning::hang($turning) ? $found->withoutNumbers() : $found;
        $planned = $kind === 'arm' ? $build : null;

        return new self(
            $metric, $kind, $name, $m->unit, $m->decimals, $found->beside($bounded), $ofArticles, $bounded, $terms,
            Confounded::of(self::beside($sided, $sides, $seen, $kind, $name), $names), self::worded($runs, $terms),
            count($planned->arms ?? []), count($planned->out ?? []),
            $kind !== 'state' || $build === null ? [] : Bearing::between([[$build, $seen->designs($metric)]], $metric, [], null), $turning,
            $planned === null ? 0 : count(array_diff($seen->lost(), $names, $planned->out)),
        );
    }

    /**
     * What is compared with what: the level, and of several parameters that vary those of the others.
     *
     * @return array{string, string} as one word, and as it is said
     */
    private static function level(Sided $one, Seen $seen, string $parameter, Grid $grid): array
    {
        [$cell, $said] = [$one->alike->cell, $one->alike->said()];
        if ($parameter === '' || $one->bunch === null) {
            return [$cell, $said];
        }
        $others = $grid->others($seen->configuration($one->bunch->circumstances->made), $parameter);

        return [$cell."\x1d".$others, implode(' · ', array_filter([$said, $others]))];
    }

    /**
     * @param list<Sided> $sided
     *
     * @return array<array-key, true> serials of the articles on which something was changed between two runs
     */
    private static function changed(array $sided): array
    {
        $states = [];
        foreach ($sided as $one) {
            $states[$one->article][implode("\x1f", $one->bunch->design->own ?? [])] = true;
        }

        return array_map(static fn (array $of): bool => true, array_filter($states, static fn (array $of): bool => count($of) > 1));
    }

    /**
     * What pairs its runs; what was changed on several articles is told on each by itself.
     *
     * @param list<string>           $blocks
     * @param array<array-key, true> $changed
     */
    private static function block(Sided $one, string $side, array $blocks, array $changed): ?string
    {
        $block = Blocks::of($one, $side, $blocks);

        return count($changed) < 2 ? $block : $block."\x1e".$one->article;
    }

    /**
     * @param list<AlikeRuns> $runs
     *
     * @return array<string, Worded> by side
     */
    private static function worded(array $runs, Terms $terms): array
    {
        $values = [];
        foreach ($runs as $run) {
            $values[$run->side] = [...$values[$run->side] ?? [], ...($run->kind === ResultKind::Equal ? $run->values : [])];
        }

        return array_filter(array_map(static fn (array $of): ?Worded => Worded::of($terms->words, $of), $values));
    }

    /**
     * What stood beside each side, where it is not what is compared.
     *
     * @param list<Sided>        $sided
     * @param array<int, string> $sides
     *
     * @return array<string, array<string, array<string, true>>> by what, then side
     */
    private static function beside(array $sided, array $sides, Seen $seen, string $kind, string $name): array
    {
        $out = [];
        foreach ($sides as $i => $side) {
            $bunch = $sided[$i]->bunch;
            if ($bunch === null) {
                continue;
            }
            $made = $seen->configuration($bunch->circumstances->made);
            $values = ['firmware' => $made->firmware, 'arm' => $made->arm];
            foreach ($made->lots as $material => $lot) {
                $values['lot of '.$material] = $lot;
            }
            foreach ($bunch->set as $setting => $value) {
                $values[(string) $setting] = $value;
            }
            foreach ($sided[$i]->alike->named as $block => $level) {
                $values[(string) $block] = $level;
            }
            // Each level of what varies has its own arms.
            if ($kind === 'parameter') {
                unset($values['arm']);
            }
            // Each article is of one arm, and of one lot of everything: that is what it is, and no coincidence.
            unset($values[$kind], $values[$kind === 'lot' ? 'lot of '.$name : $name], $values['article']);
            foreach ($kind === 'article' ? [] : $values as $what => $value) {
                $out[$what][$side][$value] = true;
            }
        }

        return $out;
    }

    private static function side(Sided $one, Configuration $made, string $kind, string $name): string
    {
        return match ($kind) {
            'arm' => $made->arm,
            'article' => $one->article,
            'lot' => $made->lots[$name] ?? '',
            'firmware' => $made->firmware,
            'parameter' => Grid::value($made, $name),
            'state' => implode(', ', $one->bunch->design->own ?? []) ?: self::AS_BUILT,
            default => $one->bunch->set[$name] ?? '',
        };
    }

    /**
     * Values of an article within a stratum count once, where every side has two articles or more; else it is the articles that
     * are compared.
     *
     * @param list<AlikeRuns> $runs
     *
     * @return array{list<AlikeRuns>, bool} and whether one article stands for a side
     */
    private static function byArticle(array $runs): array
    {
        $articles = [];
        foreach ($runs as $run) {
            $articles[$run->side][$run->article ?? ''] = true;
        }
        $isNamed = array_filter($runs, static fn (AlikeRuns $r): bool => $r->article === null) === [];
        $fewest = $articles === [] ? 0 : min(array_map(count(...), $articles));
        if (!$isNamed || $fewest < 2) {
            return [$runs, $isNamed && $fewest === 1];
        }

        return [AlikeRuns::averaged($runs), false];
    }
}
