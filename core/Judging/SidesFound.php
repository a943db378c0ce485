<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Alike\AlikeRuns;
use Lustrum\Core\Alike\CompareSides;
use Lustrum\Core\Alike\Groups;
use Lustrum\Core\Alike\Scale;
use Lustrum\Core\Alike\SideEffect;
use Lustrum\Core\Alike\SidePair;
use Lustrum\Core\Statistics\Holm;
use Lustrum\Core\Statistics\Interval;

/** What came of sides against each other: which lead, which cannot be told apart, and which never met. */
final readonly class SidesFound
{
    /** So many chains are named. */
    private const NAMED = 3;

    /**
     * @param list<SideEffect>   $sides   the highest first
     * @param list<list<string>> $groups  that cannot be told apart
     * @param list<list<string>> $apart   that nothing joins; empty where all are joined
     * @param int                $told    pairs that are told apart
     * @param int                $pairs   that could be
     * @param list<array{string, string, string}> $through two sides that never met at a level, and the one that they are compared through
     * @param bool               $multiply are effects per cents of what is typical? Else they are in the unit of the metric
     * @param array{string, string}|null $joining one side and the level of another at which one run would join them
     */
    public function __construct(
        public array $sides,
        public array $groups = [],
        public array $apart = [],
        public int $told = 0,
        public int $pairs = 0,
        public array $through = [],
        public ?array $joining = null,
        public bool $multiply = false,
    ) {
    }

    /**
     * @param list<AlikeRuns>       $runs
     * @param array<string, string> $texts cells as they are said
     *
     * @throws \Lustrum\Core\CoreException
     */
    public static function of(array $runs, Terms $terms, array $texts): self
    {
        $multiply = ($terms->scaleOf($runs) ?? Scale::among($runs)) === Scale::Ratio;
        $found = CompareSides::of($multiply ? array_map(
            static fn (AlikeRuns $r): AlikeRuns => $r->as(array_map(log(...), $r->values)), $runs,
        ) : $runs, $terms->confidence());
        $sides = $multiply ? array_map(static fn (SideEffect $s): SideEffect => new SideEffect(
            $s->side, $s->n, $s->effect === null ? null : expm1($s->effect) * 100,
        ), $found->sides) : $found->sides;
        $on = $cells = [];
        foreach ($runs as $run) {
            $on[$run->side][$run->stratum] = true;
            $cells[$run->side] ??= $run->cell;
        }
        // Before the planned number of runs, and of what was calculated, no pair is told apart.
        $told = $terms->tells() ? count(array_filter($found->pairs, static fn (SidePair $p): bool => $p->told)) : 0;
        $groups = $terms->tells() ? $found->groups : [array_map(static fn (SideEffect $s): string => $s->side, $found->sides)];
        $joining = count($found->apart) < 2 ? null : [$found->apart[1][0], $texts[$cells[$found->apart[0][0]] ?? ''] ?? ''];

        return new self(
            $sides, $groups, $found->apart, $told, count($found->pairs), self::through($found->pairs, $on), $joining, $multiply,
        );
    }

    /**
     * Where results are words: pair by pair by their order, after Holm; the one that lies above most of the others first.
     *
     * @param list<AlikeRuns> $runs
     */
    public static function byOrder(array $runs, Terms $terms): self
    {
        $of = $above = $p = $named = [];
        foreach ($runs as $run) {
            $of[$run->side][] = $run;
        }
        $names = array_map(strval(...), array_keys($of));
        foreach ($names as $i => $a) {
            $above[$a] ??= 0.0;
            foreach (array_slice($names, $i + 1) as $b) {
                $order = ByOrder::within([
                    ...array_map(static fn (AlikeRuns $r): AlikeRuns => $r->of('a'), $of[$a]),
                    ...array_map(static fn (AlikeRuns $r): AlikeRuns => $r->of('b'), $of[$b]),
                ]);
                if ($order !== null) {
                    $above[$a] -= $order->above;
                    $above[$b] = ($above[$b] ?? 0.0) + $order->above;
                    [$named[], $p[]] = [[$a, $b, $order->shift], $order->p];
                }
            }
        }
        arsort($above);
        $sides = array_map(static fn (string|int $s): SideEffect => new SideEffect(
            (string) $s, AlikeRuns::count($of[$s]), null,
        ), array_keys($above));
        $pairs = array_map(static fn (array $pair, float $p, float $adjusted): SidePair => new SidePair(
            $pair[0], $pair[1], new Interval($pair[2], null, null), $p, $adjusted, $terms->tells() && $adjusted < 1 - $terms->confidence(),
        ), $named, $p, Holm::adjust($p));
        $ordered = array_map(static fn (SideEffect $s): string => $s->side, $sides);
        $told = count(array_filter($pairs, static fn (SidePair $p): bool => $p->told));

        return new self($sides, Groups::of($ordered, [$ordered], $pairs), [], $told, count($pairs));
    }

    /** The same where a number over all levels would say nothing of any of them. */
    public function withoutNumbers(): self
    {
        return new self(
            array_map(static fn (SideEffect $s): SideEffect => new SideEffect($s->side, $s->n, null), $this->sides), [], $this->apart, 0,
            $this->pairs,
        );
    }

    /** @param list<BoundedSide> $bounded that stand apart; they come last */
    public function beside(array $bounded): self
    {
        $more = array_map(static fn (BoundedSide $b): SideEffect => new SideEffect($b->side, $b->n, null), $bounded);

        return $more === [] ? $this : new self(
            [...$this->sides, ...$more], $this->groups, $this->apart, $this->told, $this->pairs, $this->through, $this->joining,
            $this->multiply,
        );
    }

    /**
     * @param list<SidePair>                     $pairs
     * @param array<string, array<string, true>> $on    strata of each side
     *
     * @return list<array{string, string, string}>
     */
    private static function through(array $pairs, array $on): array
    {
        $meet = static fn (string $a, string $b): bool => array_intersect_key($on[$a] ?? [], $on[$b] ?? []) !== [];
        $out = [];
        foreach ($pairs as $pair) {
            foreach ($meet($pair->a, $pair->b) ? [] : array_keys($on) as $third) {
                if ($meet($pair->a, (string) $third) && $meet((string) $third, $pair->b)) {
                    $out[] = [$pair->a, $pair->b, (string) $third];
                    break;
                }
            }
        }

        return array_slice($out, 0, self::NAMED);
    }
}
