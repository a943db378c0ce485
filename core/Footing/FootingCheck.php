<?php

declare(strict_types=1);

namespace Lustrum\Core\Footing;

use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Run\ArticleState;

/**
 * Compares the circumstances of two groups of runs (`compare.footing`).
 *
 * Broken: another method, an instrument on another scale, a change outside the comparison that bears on the metric.
 * Tilted: a condition outside its tolerance or not recorded on one side; another lot, rig, operator, firmware or
 * method version; a used article against a fresh one; no overlap in time; a single run; a run stopped early.
 */
final readonly class FootingCheck
{
    /** Without a stated tolerance, means this share of the larger one apart still count as equal: what a dial is read to. */
    private const UNSTATED_TOLERANCE = 0.05;

    /** Blocks less than a day apart are one session. */
    private const DAY = 86400;

    /** @param list<Difference> $differences gravest first */
    private function __construct(
        public Footing $footing,
        public array $differences,
    ) {
    }

    public static function between(Context $a, Context $b): self
    {
        $found = [
            ...self::method($a, $b), ...self::instruments($a, $b), ...self::changes($a, $b),
            ...self::levels('condition', $a->conditions, $b->conditions), ...self::levels('setting', $a->settings, $b->settings),
            ...self::lots($a, $b), ...self::sets(Reason::Rig, self::one($a->rig), self::one($b->rig)),
            ...self::sets(Reason::Operator, $a->operators, $b->operators), ...self::sets(Reason::Firmware, $a->firmware, $b->firmware),
            ...self::deviants($a, $b), ...self::off($a, $b),
            ...self::articles($a, $b), ...self::states($a, $b), ...self::others($a, $b), ...self::period($a, $b), ...self::counts($a, $b),
        ];
        usort(
            $found, static fn (Difference $x, Difference $y): int => ($y->weight === Footing::Broken) <=> ($x->weight === Footing::Broken),
        );
        $footing = match (true) {
            $found === [] => Footing::Level,
            $found[0]->weight === Footing::Broken => Footing::Broken,
            default => Footing::Tilted,
        };

        return new self($footing, $found);
    }

    /** @param list<Difference> $more tilted ones that the contexts do not show */
    public function and(array $more): self
    {
        $footing = $this->footing === Footing::Level && $more !== [] ? Footing::Tilted : $this->footing;

        return new self($footing, [...$this->differences, ...$more]);
    }

    /** @return list<Difference> */
    private static function method(Context $a, Context $b): array
    {
        if ($a->method !== $b->method) {
            return [new Difference('method', $a->method, $b->method, Footing::Broken, Reason::Method)];
        }
        if ($a->methodVersion === $b->methodVersion) {
            return [];
        }

        return [self::tilted('method version', (string) $a->methodVersion, (string) $b->methodVersion, Reason::MethodVersion)];
    }

    /** @return list<Difference> */
    private static function instruments(Context $a, Context $b): array
    {
        $out = [];
        foreach ($a->instruments as $x) {
            foreach ($b->instruments as $y) {
                if ($x->channel !== $y->channel) {
                    continue;
                }
                $with = ['name' => $x->channel, 'unitA' => $x->unit, 'unitB' => $y->unit];
                if ($x->unit !== $y->unit) {
                    $out[] = new Difference(
                        'instrument', $x->name.' in '.$x->unit, $y->name.' in '.$y->unit, Footing::Broken, Reason::InstrumentUnit, $with,
                    );
                } elseif ($x->name !== $y->name) {
                    $out[] = self::tilted('instrument', $x->name, $y->name, Reason::Instrument, $with);
                }
            }
        }

        return $out;
    }

    /** @return list<Difference> */
    private static function changes(Context $a, Context $b): array
    {
        $about = [...$a->about, ...$b->about];
        $out = [];
        foreach ([[$a, true], [$b, false]] as [$side, $earlier]) {
            foreach ($side->changes as $change) {
                if ($change['bears'] && !in_array($change['what'], $about, true)) {
                    $out[] = new Difference(
                        'change', $earlier ? $change['what'] : '', $earlier ? '' : $change['what'], Footing::Broken,
                        Reason::Change, ['name' => $change['what']],
                    );
                }
            }
        }

        return $out;
    }

    /**
     * @param array<string, Level> $a
     * @param array<string, Level> $b
     *
     * @return list<Difference>
     */
    private static function levels(string $kind, array $a, array $b): array
    {
        $out = [];
        foreach (array_unique([...array_keys($a), ...array_keys($b)]) as $name) {
            $difference = self::level($kind, (string) $name, $a[$name] ?? new Level(), $b[$name] ?? new Level());
            if ($difference !== null) {
                $out[] = $difference;
            }
        }

        return $out;
    }

    private static function level(string $kind, string $name, Level $x, Level $y): ?Difference
    {
        $what = $kind.' '.$name;
        $mx = $x->mean();
        $my = $y->mean();
        if ($mx !== null && $my !== null) {
            $shift = abs($mx - $my);
            $allowed = $x->tolerance ?? $y->tolerance ?? self::UNSTATED_TOLERANCE * max(abs($mx), abs($my));
            if ($shift <= $allowed) {
                return self::halfRecorded($what, $name, $x, $y);
            }

            return self::tilted(
                $what, self::number($x, $shift), self::number($y, $shift), Reason::Level, ['name' => $name],
            );
        }
        if (!$x->recorded() || !$y->recorded()) {
            $word = static fn (Level $l): string => $l->recorded() ? 'recorded' : 'unknown';
            $side = match (true) {
                !$x->recorded() && !$y->recorded() => 'both',
                !$x->recorded() => 'earlier',
                default => 'later',
            };

            return self::tilted($what, $word($x), $word($y), Reason::LevelUnknown, ['name' => $name, 'side' => $side]);
        }
        $wx = self::words($x->words);
        $wy = self::words($y->words);

        return $wx === $wy ? self::halfRecorded($what, $name, $x, $y) : self::tilted($what, $wx, $wy, Reason::Level, ['name' => $name]);
    }

    private static function halfRecorded(string $what, string $name, Level $x, Level $y): ?Difference
    {
        $unknown = $x->unknown + $y->unknown;
        if ($unknown === 0) {
            return null;
        }

        return self::tilted(
            $what, sprintf('%d unknown', $x->unknown), sprintf('%d unknown', $y->unknown),
            Reason::LevelHalfKnown, ['name' => $name, 'n' => $unknown],
        );
    }

    /** What the runs of a side had, as it was recorded: a mean of several would be a value that none of them had. */
    private static function number(Level $level, float $shift): string
    {
        $decimals = min(3, Digits::decimalsOf($shift));
        // 6.5 is not 7, however far the other side lies.
        $text = static fn (float $v): string => $v === round($v, $decimals) ? Digits::decimals($v, $decimals) : Digits::short($v);
        $ends = array_values(array_unique([$text(min($level->numbers ?: [0.0])), $text(max($level->numbers ?: [0.0]))]));

        return implode(' to ', $ends).($level->unit === '' ? '' : ' '.$level->unit);
    }

    /** @return list<Difference> */
    private static function lots(Context $a, Context $b): array
    {
        $out = [];
        foreach (array_unique([...array_keys($a->lots), ...array_keys($b->lots)]) as $material) {
            $x = self::words($a->lots[$material] ?? []);
            $y = self::words($b->lots[$material] ?? []);
            if ($x !== $y) {
                $reason = $x === '' || $y === '' ? Reason::LotUnknown : Reason::Lot;
                $out[] = self::tilted('lot of '.$material, self::known($x), self::known($y), $reason, ['name' => (string) $material]);
            }
        }

        return $out;
    }

    /**
     * @param list<string> $a
     * @param list<string> $b
     *
     * @return list<Difference>
     */
    private static function sets(Reason $reason, array $a, array $b): array
    {
        $x = self::words($a);
        $y = self::words($b);

        return $x === $y ? [] : [self::tilted($reason->value, self::known($x), self::known($y), $reason)];
    }

    /** @return list<Difference> what not every article of both sides has otherwise than its build */
    private static function deviants(Context $a, Context $b): array
    {
        $n = count($a->articles()) + count($b->articles());
        $on = [];
        foreach ([$a->deviants, $b->deviants] as $earlier => $of) {
            foreach ($of as $serial => $said) {
                foreach ($said as $one) {
                    $on[$one][$earlier][] = (string) $serial;
                }
            }
        }
        $out = [];
        foreach ($on as $said => $sides) {
            $serials = array_merge(...array_values($sides));
            if (count($serials) < $n) {
                $out[] = self::tilted(
                    'deviation', self::words($sides[0] ?? []), self::words($sides[1] ?? []), Reason::Deviates,
                    ['name' => (string) $said, 'serials' => self::words($serials), 'articles' => count($serials)],
                );
            }
        }

        return $out;
    }

    /** @return list<Difference> conditions that were not as the method holds them */
    private static function off(Context $a, Context $b): array
    {
        $out = [];
        foreach ([$a->off, $b->off] as $side => $of) {
            foreach ($of as $name => ['intended' => $intended, 'is' => $is, 'n' => $n]) {
                $out[] = self::tilted(
                    'off '.$name, $side === 0 ? $is : $intended, $side === 0 ? $intended : $is, Reason::OffMethod,
                    [
                        'name' => (string) $name, 'intended' => $intended, 'is' => $is, 'runs' => $n,
                        'side' => $side === 0 ? 'earlier' : 'later',
                    ],
                );
            }
        }

        return $out;
    }

    /** @return list<Difference> */
    private static function articles(Context $a, Context $b): array
    {
        $used = static fn (Context $c): array => array_values(array_filter($c->articles(), static fn (UnitPast $u): bool => !$u->fresh()));
        $x = $used($a);
        $y = $used($b);
        if (($x === []) === ($y === []) || $a->articles() === [] || $b->articles() === []) {
            return [];
        }
        $side = $x[0] ?? $y[0];
        $word = static fn (array $u): string => $u === [] ? 'fresh' : 'used';

        return [self::tilted('units', $word($x), $word($y), Reason::UsedArticle, [
            'name' => $side->serial, 'runs' => $side->earlierRuns, 'failures' => $side->earlierFailures,
        ])];
    }

    /** @return list<Difference> articles that took part beside the one that was tried: tool and piece, host and add-on */
    private static function others(Context $a, Context $b): array
    {
        $out = [];
        foreach (array_unique([...array_keys($a->others), ...array_keys($b->others)]) as $part) {
            [$x, $y] = [self::words($a->others[$part] ?? []), self::words($b->others[$part] ?? [])];
            if ($x !== $y) {
                $out[] = self::tilted('other '.$part, self::known($x), self::known($y), Reason::OtherArticle, ['name' => (string) $part]);
            }
        }

        return $out;
    }

    /** @return list<Difference> */
    private static function states(Context $a, Context $b): array
    {
        if ($a->units === [] || $b->units === []) {
            return [];
        }
        $of = static fn (Context $c): array => array_map(static fn (UnitPast $u): string => ArticleState::of($u->state), $c->units);
        [$x, $y] = [$of($a), $of($b)];
        if (self::words($x) === self::words($y)) {
            return [];
        }
        $models = static fn (array $states): bool => array_filter($states, ArticleState::isModel(...)) !== [];

        return [new Difference(
            'state', self::words($x), self::words($y), $models($x) === $models($y) ? Footing::Tilted : Footing::Broken, Reason::State,
        )];
    }

    /** @return list<Difference> */
    private static function period(Context $a, Context $b): array
    {
        if ($a->from === null || $b->from === null || $a->to === null || $b->to === null) {
            return [];
        }
        [$first, $second] = $a->from <= $b->from ? [$a, $b] : [$b, $a];
        $days = (int) floor((strtotime((string) $second->from) - strtotime((string) $first->to)) / self::DAY);

        return $days < 1 ? [] : [self::tilted('period', $a->from, $b->from, Reason::Blocks, ['days' => $days])];
    }

    /** @return list<Difference> */
    private static function counts(Context $a, Context $b): array
    {
        $out = [];
        if ($a->runs === 1 || $b->runs === 1) {
            $both = $a->runs === 1 && $b->runs === 1;
            $out[] = self::tilted('runs', (string) $a->runs, (string) $b->runs, Reason::SingleRun, ['side' => $both ? 'both' : 'one']);
        }
        $stopped = $a->stoppedEarly + $b->stoppedEarly;
        if ($stopped > 0) {
            $out[] = self::tilted(
                'stopped early', (string) $a->stoppedEarly, (string) $b->stoppedEarly, Reason::StoppedEarly, ['n' => $stopped],
            );
        }

        return $out;
    }

    /** @param array<string, string|int> $with */
    private static function tilted(string $what, string $a, string $b, Reason $reason, array $with = []): Difference
    {
        return new Difference($what, $a, $b, Footing::Tilted, $reason, $with);
    }

    private static function known(string $word): string
    {
        return $word === '' ? 'unknown' : $word;
    }

    /** @return list<string> */
    private static function one(?string $word): array
    {
        return $word === null || $word === '' ? [] : [$word];
    }

    /** @param list<string> $words */
    private static function words(array $words): string
    {
        $words = array_values(array_unique(array_filter($words, static fn (string $w): bool => $w !== '')));
        sort($words);

        return implode(' and ', $words);
    }
}
