<?php

declare(strict_types=1);

namespace Lustrum\Core\Footing;

use Lustrum\Core\Quantity\Digits;

/**
 * Compares the circumstances of two groups of runs (`compare.footing`).
 *
 * Broken: another method, an instrument on another scale, a change outside the comparison that bears on the metric.
 * Tilted: a condition outside its tolerance or not recorded on one side; another lot, rig, operator, firmware or
 * method version; a used unit against a fresh one; no overlap in time; a single run; a run stopped early.
 */
final readonly class FootingCheck
{
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
            ...self::lots($a, $b), ...self::sets('rig', self::one($a->rig), self::one($b->rig), 'Another rig.'),
            ...self::sets('operator', $a->operators, $b->operators, 'Another pair of hands.'),
            ...self::sets('firmware', $a->firmware, $b->firmware, 'Another firmware.'),
            ...self::units($a, $b), ...self::period($a, $b), ...self::counts($a, $b),
        ];
        usort($found, static fn (Difference $x, Difference $y): int => ($y->weight === Footing::Broken) <=> ($x->weight === Footing::Broken));
        $footing = match (true) {
            $found === [] => Footing::Level,
            $found[0]->weight === Footing::Broken => Footing::Broken,
            default => Footing::Tilted,
        };

        return new self($footing, $found);
    }

    /** One sentence for the screen. */
    public function sentence(): string
    {
        if ($this->footing === Footing::Level) {
            return 'Same footing: nothing recorded differs but what is compared.';
        }
        $whys = array_map(static fn (Difference $d): string => lcfirst(rtrim($d->why, '.')), array_slice($this->differences, 0, 3));
        $more = count($this->differences) - count($whys);

        return ($this->footing === Footing::Broken ? 'Not on the same footing: ' : 'Tilted footing: ')
            .implode('; ', $whys).($more > 0 ? sprintf('; and %d more', $more) : '').'.';
    }

    /** @return list<Difference> */
    private static function method(Context $a, Context $b): array
    {
        if ($a->method !== $b->method) {
            return [new Difference('method', $a->method, $b->method, Footing::Broken, sprintf('Measured with another method (%s, %s).', $a->method, $b->method))];
        }

        return $a->methodVersion === $b->methodVersion ? [] : [new Difference('method version', (string) $a->methodVersion, (string) $b->methodVersion, Footing::Tilted, sprintf('The method was changed in between (version %d, then %d).', $a->methodVersion, $b->methodVersion))];
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
                if ($x->unit !== $y->unit) {
                    $out[] = new Difference('instrument', $x->name.' in '.$x->unit, $y->name.' in '.$y->unit, Footing::Broken, sprintf('%s was read in %s, then in %s.', ucfirst($x->channel), $x->unit, $y->unit));
                } elseif ($x->name !== $y->name) {
                    $out[] = new Difference('instrument', $x->name, $y->name, Footing::Tilted, sprintf('%s was read on another instrument (%s, %s).', ucfirst($x->channel), $x->name, $y->name));
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
        foreach ([[$a, 'a'], [$b, 'b']] as [$side, $name]) {
            foreach ($side->changes as $change) {
                if ($change['bears'] && !in_array($change['what'], $about, true)) {
                    $out[] = new Difference('change', $name === 'a' ? $change['what'] : '', $name === 'b' ? $change['what'] : '', Footing::Broken, sprintf('“%s” was changed too, and bears on this.', $change['what']));
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
        $tilted = static fn (string $a, string $b, string $why): Difference => new Difference($kind.' '.$name, $a, $b, Footing::Tilted, $why);
        $mx = $x->mean();
        $my = $y->mean();
        if ($mx !== null && $my !== null) {
            $tolerance = $x->tolerance ?? $y->tolerance;
            $shift = abs($mx - $my);
            if ($tolerance === null ? $shift <= 0.05 * max(abs($mx), abs($my)) : $shift <= $tolerance) {
                return self::halfRecorded($kind, $name, $x, $y);
            }
            $texts = [self::number($mx, $x->unit, $shift), self::number($my, $y->unit, $shift)];

            return $tilted($texts[0], $texts[1], sprintf('%s was %s, then %s.', ucfirst($name), ...$texts));
        }
        if (!$x->recorded() || !$y->recorded()) {
            $which = !$x->recorded() && !$y->recorded() ? 'on either side' : (!$x->recorded() ? 'on the earlier side' : 'on the later side');

            return $tilted($x->recorded() ? 'recorded' : 'unknown', $y->recorded() ? 'recorded' : 'unknown', sprintf('%s was not recorded %s.', ucfirst($name), $which));
        }
        $wx = self::words($x->words);
        $wy = self::words($y->words);

        return $wx === $wy ? self::halfRecorded($kind, $name, $x, $y) : $tilted($wx, $wy, sprintf('%s was %s, then %s.', ucfirst($name), $wx, $wy));
    }

    private static function halfRecorded(string $kind, string $name, Level $x, Level $y): ?Difference
    {
        return $x->unknown + $y->unknown === 0 ? null : new Difference($kind.' '.$name, sprintf('%d unknown', $x->unknown), sprintf('%d unknown', $y->unknown), Footing::Tilted, sprintf('%s was not recorded on %d of the runs.', ucfirst($name), $x->unknown + $y->unknown));
    }

    private static function number(float $value, string $unit, float $shift): string
    {
        $decimals = Digits::decimalsOf($shift);

        return Digits::decimals($value, min(3, $decimals)).($unit === '' ? '' : ' '.$unit);
    }

    /** @return list<Difference> */
    private static function lots(Context $a, Context $b): array
    {
        $out = [];
        foreach (array_unique([...array_keys($a->lots), ...array_keys($b->lots)]) as $material) {
            $x = self::words($a->lots[$material] ?? []);
            $y = self::words($b->lots[$material] ?? []);
            if ($x !== $y) {
                $out[] = new Difference('lot of '.$material, $x ?: 'unknown', $y ?: 'unknown', Footing::Tilted, $x === '' || $y === ''
                    ? sprintf('The lot of %s was not recorded on one side.', $material)
                    : sprintf('Another lot of %s (%s, then %s).', $material, $x, $y));
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
    private static function sets(string $what, array $a, array $b, string $why): array
    {
        $x = self::words($a);
        $y = self::words($b);
        if ($x === $y || ($x === '' && $y === '')) {
            return [];
        }

        return [new Difference($what, $x ?: 'unknown', $y ?: 'unknown', Footing::Tilted, sprintf('%s (%s, then %s).', rtrim($why, '.'), $x ?: 'unknown', $y ?: 'unknown'))];
    }

    /** @return list<Difference> */
    private static function units(Context $a, Context $b): array
    {
        $used = static fn (Context $c): array => array_values(array_filter($c->units, static fn (UnitPast $u): bool => !$u->fresh()));
        $x = $used($a);
        $y = $used($b);
        if (($x === []) === ($y === []) || $a->units === [] || $b->units === []) {
            return [];
        }
        $side = $x !== [] ? $x[0] : $y[0];
        $describe = static fn (array $u): string => $u === [] ? 'fresh' : 'used';

        return [new Difference('units', $describe($x), $describe($y), Footing::Tilted, sprintf(
            'A used unit against a fresh one: %s had %d %s%s behind it.', $side->serial, $side->earlierRuns, $side->earlierRuns === 1 ? 'run' : 'runs',
            $side->earlierFailures > 0 ? sprintf(' and %d %s', $side->earlierFailures, $side->earlierFailures === 1 ? 'failure' : 'failures') : '',
        ))];
    }

    /** @return list<Difference> */
    private static function period(Context $a, Context $b): array
    {
        if ($a->from === null || $b->from === null || $a->to === null || $b->to === null) {
            return [];
        }
        [$first, $second] = $a->from <= $b->from ? [$a, $b] : [$b, $a];
        $days = (int) floor((strtotime((string) $second->from) - strtotime((string) $first->to)) / 86400);

        return $days < 1 ? [] : [new Difference('period', $a->from, $b->from, Footing::Tilted, sprintf('Made in two blocks, %d %s apart.', $days, $days === 1 ? 'day' : 'days'))];
    }

    /** @return list<Difference> */
    private static function counts(Context $a, Context $b): array
    {
        $out = [];
        if ($a->runs === 1 || $b->runs === 1) {
            $out[] = new Difference('runs', (string) $a->runs, (string) $b->runs, Footing::Tilted, $a->runs === 1 && $b->runs === 1 ? 'A single run on each side.' : 'A single run on one side.');
        }
        $stopped = $a->stoppedEarly + $b->stoppedEarly;
        if ($stopped > 0) {
            $out[] = new Difference('stopped early', (string) $a->stoppedEarly, (string) $b->stoppedEarly, Footing::Tilted, sprintf('%d %s stopped early.', $stopped, $stopped === 1 ? 'run was' : 'runs were'));
        }

        return $out;
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
