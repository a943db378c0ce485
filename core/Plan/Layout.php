<?php

declare(strict_types=1);

namespace Lustrum\Core\Plan;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\Run\Factor;
use Lustrum\Core\Run\Harder;
use Lustrum\Core\Run\Row;

/** What a trial lays out: levels, variants, repeats, and the order in which chance or the ladder puts them. */
final readonly class Layout
{
    public const MOST_RUNS = 500;
    private const MOST_REPEATS = 100;

    /**
     * @param array<string, list<string>> $levels  by factor
     * @param list<string>                $arms    variants within the build; none: it has none, or all of them are one
     * @param list<LeftOut>               $leftOut
     * @param string                      $setting that is being found; empty: none
     * @param float                       $minutes that a run lasts, where its time is planned; nought: it is not
     */
    public function __construct(
        public PlanKind $kind = PlanKind::Free,
        public array $levels = [],
        public array $arms = [],
        public int $repeats = 1,
        public Order $order = Order::AsGiven,
        public int $seed = 1,
        public array $leftOut = [],
        public string $setting = '',
        public float $minutes = 0.0,
    ) {
    }

    /** @param array<array-key, mixed> $row */
    public static function fromRow(array $row): self
    {
        $levels = [];
        foreach (is_array($row['levels'] ?? null) ? $row['levels'] : [] as $name => $of) {
            $levels[(string) $name] = Row::texts($of);
        }

        return new self(
            PlanKind::tryFrom(Row::text($row['kind'] ?? '')) ?? PlanKind::Free, $levels, Row::texts($row['arms'] ?? []),
            max(1, Row::whole($row['repeats'] ?? 1)), Order::tryFrom(Row::text($row['order'] ?? '')) ?? Order::AsGiven,
            Row::whole($row['seed'] ?? 1), array_map(LeftOut::fromRow(...), Row::rows($row['leftOut'] ?? [])),
            Row::text($row['setting'] ?? ''), Row::number($row['minutes'] ?? 0),
        );
    }

    /**
     * Every combination once, as the plan says them.
     *
     * @return list<array{array<string, string>, string}> levels by factor, and the variant
     *
     * @throws InvalidInput at 'levels' when there are more than can be planned
     */
    public function cells(): array
    {
        $cells = [[]];
        $count = max(1, count($this->arms));
        foreach ($this->levels as $levels) {
            $count *= max(1, count($levels));
            if ($count > self::MOST_RUNS) {
                throw InvalidInput::because(sprintf('At most %d runs can be planned at once.', self::MOST_RUNS), 'levels');
            }
        }
        foreach ($this->levels as $name => $levels) {
            $next = [];
            foreach ($cells as $cell) {
                foreach ($levels as $level) {
                    $next[] = $cell + [$name => $level];
                }
            }
            $cells = $next === [] ? $cells : $next;
        }
        $out = [];
        foreach ($cells as $cell) {
            foreach ($this->arms === [] ? [''] : $this->arms as $arm) {
                $out[] = [$cell, $arm];
            }
        }

        return $out;
    }

    /**
     * The plan of what is left: cells of which nothing is left were done, and the others are repeated as often as the one
     * of which most is left.
     *
     * @param non-empty-list<Slot> $left
     * @param string               $reason why the others are left out
     */
    public function rest(array $left, string $reason): self
    {
        $counts = [];
        foreach ($left as $slot) {
            $key = self::cellKey($slot->levels, $slot->arm);
            $counts[$key] = ($counts[$key] ?? 0) + 1;
        }
        $out = $this->leftOut;
        foreach ($this->kind === PlanKind::Staircase ? [] : $this->cells() as [$levels, $arm]) {
            if (!isset($counts[self::cellKey($levels, $arm)]) && $this->why($levels, $arm) === null) {
                $out[] = new LeftOut($levels, $arm, $reason);
            }
        }

        return new self(
            $this->kind, $this->levels, $this->arms, $this->kind === PlanKind::Staircase ? count($left) : max($counts),
            $this->order, $this->seed, $out,
            $this->setting, $this->minutes,
        );
    }

    /** @param array<string, string> $levels */
    private static function cellKey(array $levels, string $arm): string
    {
        ksort($levels);

        return $arm."\x1f".implode("\x1f", [...array_keys($levels), ...array_values($levels)]);
    }

    /**
     * The runs in their order; cells that were left out are none.
     *
     * @param list<Factor> $factors of the method
     *
     * @return list<Slot>
     *
     * @throws InvalidInput at the field that is wrong
     */
    public function slots(array $factors): array
    {
        $this->mustBeSound($factors);
        if (!$this->kind->isLaidOut()) {
            return [];
        }
        if ($this->kind === PlanKind::Staircase) {
            // Which level comes next follows from the runs before it.
            return array_map(static fn (int $i): Slot => new Slot($i, $i, [], ''), range(1, $this->repeats));
        }
        $cells = array_values(array_filter($this->cells(), fn (array $cell): bool => $this->why($cell[0], $cell[1]) === null));
        if (count($cells) * $this->repeats > self::MOST_RUNS) {
            throw InvalidInput::because(sprintf('At most %d runs can be planned at once.', self::MOST_RUNS), 'repeats');
        }
        $ladder = $this->kind === PlanKind::Ladder ? self::factor($factors, (string) array_key_first($this->levels)) : null;
        $runs = [];
        if ($ladder !== null) {
            usort($cells, static fn (array $a, array $b): int => self::rung($ladder, $a[0]) <=> self::rung($ladder, $b[0]));
            foreach ($cells as $cell) {
                $runs = [...$runs, ...array_map(static fn (int $r): array => [$r, $cell], range(1, $this->repeats))];
            }
        } else {
            $shuffle = new Shuffle($this->seed);
            // Pairs lie side by side in any case: what drifts hits both.
            $isInBlocks = $this->order === Order::Blocks || ($this->kind === PlanKind::Pairs && $this->order === Order::Random);
            for ($r = 1; $r <= $this->repeats; ++$r) {
                $runs = [...$runs, ...array_map(
                    static fn (array $cell): array => [$r, $cell], $isInBlocks ? $shuffle->of($cells) : $cells,
                )];
            }
            $runs = $this->order === Order::Random && !$isInBlocks ? $shuffle->of($runs) : $runs;
        }

        return array_map(
            static fn (array $run, int $i): Slot => new Slot($i + 1, $run[0], $run[1][0], $run[1][1]), $runs, array_keys($runs),
        );
    }

    /**
     * The levels that it goes along, the mildest first.
     *
     * @param list<Factor> $factors
     *
     * @return list<array<string, string>> levels by factor
     */
    public function rungs(array $factors): array
    {
        $along = array_key_first(array_filter($this->levels, static fn (array $levels): bool => count($levels) > 1));
        $factor = self::factor($factors, (string) $along);
        $rungs = array_map(static fn (array $cell): array => $cell[0], $this->cells());
        if ($factor !== null) {
            usort($rungs, static fn (array $a, array $b): int => self::rung($factor, $a) <=> self::rung($factor, $b));
        }

        return $rungs;
    }

    /**
     * Why a cell was left out; null where it was not.
     *
     * @param array<string, string> $levels
     */
    public function why(array $levels, string $arm): ?string
    {
        foreach ($this->leftOut as $cell) {
            if ($cell->arm === $arm && $cell->levels === $levels) {
                return $cell->reason;
            }
        }

        return null;
    }

    /** @param list<Factor> $factors */
    private function mustBeSound(array $factors): void
    {
        if ($this->repeats < 1 || $this->repeats > self::MOST_REPEATS) {
            throw InvalidInput::because(sprintf('Between 1 and %d repeats.', self::MOST_REPEATS), 'repeats');
        }
        foreach ($this->levels as $name => $levels) {
            $factor = self::factor($factors, (string) $name)
                ?? throw InvalidInput::because(sprintf('The method varies no “%s”.', mb_substr((string) $name, 0, 60)), 'levels');
            $known = [];
            foreach ($levels as $level) {
                $key = $factor->level($level)->key ?? throw InvalidInput::because(
                    sprintf('“%s” is no level of %s.', $level, $name), 'levels',
                );
                if (isset($known[$key])) {
                    throw InvalidInput::because(sprintf('“%s” and “%s” are one level of %s.', $known[$key], $level, $name), 'levels');
                }
                $known[$key] = $level;
            }
        }
        $wide = array_filter($this->levels, static fn (array $levels): bool => count($levels) > 1);
        $sides = count($this->arms) > 1 ? count($this->arms) : count(array_values($wide)[0] ?? []);
        match ($this->kind) {
            PlanKind::Ladder, PlanKind::Staircase, PlanKind::Sweep => count($wide) === 1 ? null
                : throw InvalidInput::because('It goes along one factor: two levels of it at least, and one of each other.', 'levels'),
            PlanKind::Matrix => $sides > 1 ? null : throw InvalidInput::because(
                'A matrix has two levels or two variants at least.', 'levels',
            ),
            PlanKind::Pairs => $sides === 2 ? null : throw InvalidInput::because(
                'A pair has two sides: two variants, or two levels.', 'levels',
            ),
            PlanKind::Timed => $this->minutes > 0.0 ? null : throw InvalidInput::because('How long does each run last?', 'minutes'),
            PlanKind::Checks => $wide === [] ? null : throw InvalidInput::because(
                'A check list is gone through at one level of each.', 'levels',
            ),
            PlanKind::Free, PlanKind::Setting => null,
        };
    }

    /** @param list<Factor> $factors */
    private static function factor(array $factors, string $name): ?Factor
    {
        foreach ($factors as $factor) {
            if ($factor->name === $name && !$factor->isBlock()) {
                return $factor;
            }
        }

        return null;
    }

    /** @param array<string, string> $levels */
    private static function rung(Factor $factor, array $levels): float
    {
        $size = $factor->level($levels[$factor->name] ?? '')?->size() ?? 0.0;

        return $factor->harder === Harder::Less ? -$size : $size;
    }
}
