<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Run\Alikeness;
use Lustrum\Core\Run\Design;
use Lustrum\Core\Run\RunFact;

/** How often some runs held in what one metric asks, counted by what they are like. */
final class Answers
{
    public int $held = 0;
    public int $tried = 0;

    /**
     * @var array<string, array{alike: Alikeness, design: Design, method: string, article: string, made: Circumstances, first: string,
     *     held: int, tried: int, onlyJust: int}> made: under which circumstances; first: where its first run stands
     */
    public array $groups = [];

    public function __construct(
        public readonly string $metric,
    ) {
    }

    /**
     * Takes a run that held or failed in it; one that did neither, or says nothing of the design, answers nothing.
     *
     * @param string      $made   key of the configuration
     * @param Design|null $design null: all of it
     */
    public function take(RunFact $run, Alikeness $alike, string $made, ?Design $design = null): void
    {
        $held = $run->says() ? $run->heldIn($this->metric) : null;
        if ($held !== null) {
            $onlyJust = $held && $run->heldOnlyJust($this->metric) ? 1 : 0;
            $key = $alike->key()."\x1e".$made;
            $group = $this->groups[$key] ?? [
                'alike' => $alike, 'design' => $design ?? Design::of($run->configuration), 'method' => $run->configuration->methodName,
                'article' => $run->serial(), 'made' => new Circumstances($made), 'first' => $run->order(), 'held' => 0,
                'tried' => 0, 'onlyJust' => 0,
            ];
            $group['made']->take($run);
            $this->groups[$key] = [
                'first' => min($group['first'], $run->order()), 'held' => $group['held'] + ($held ? 1 : 0), 'tried' => $group['tried'] + 1,
                'onlyJust' => $group['onlyJust'] + $onlyJust,
            ] + $group;
            $this->held += $held ? 1 : 0;
            ++$this->tried;
        }
    }

    /** @param list<self> $some of one metric */
    public static function together(string $metric, array $some): self
    {
        $all = new self($metric);
        foreach ($some as $answers) {
            foreach ($answers->groups as $key => $group) {
                $all->add($key, $group);
            }
        }
        uasort($all->groups, static fn (array $a, array $b): int => $a['first'] <=> $b['first']);

        return $all;
    }

    /**
     * The same, each group alike to those of its variant alone.
     *
     * @param callable(string): string $of variant of the key of a configuration
     */
    public function byVariant(callable $of): self
    {
        $all = new self($this->metric);
        foreach ($this->groups as $group) {
            $group['alike'] = $group['alike']->asVariant($of($group['made']->made));
            $all->add($group['alike']->key()."\x1e".$group['made']->made, $group);
        }

        return $all;
    }

    /** The same, of each article one state: runs after something was changed on it are of another. */
    public function asBuilt(): self
    {
        $some = new self($this->metric);
        foreach (AsBuilt::of($this->groups, static fn (array $g): array => [
            $g['article']."\x1d".$g['design']->arm, $g['design']->ownInShort(), $g['first'],
        ]) as $key => $group) {
            $some->add($key, $group);
        }

        return $some;
    }

    /** @return list<Design> all states that its runs were made on */
    public function designs(): array
    {
        return array_values(array_column(array_column($this->groups, 'design'), null, 'key'));
    }

    /** What asBuilt() leaves out. */
    public function changed(): Changed
    {
        return Changed::between($this->groups, $this->asBuilt()->groups, static fn (array $g): array => [$g['design'], $g['tried']]);
    }

    /** @param callable(string): bool $isOf of the key of a configuration */
    public function where(callable $isOf): self
    {
        $some = new self($this->metric);
        foreach ($this->groups as $key => $group) {
            if ($isOf($group['made']->made)) {
                $some->add($key, $group);
            }
        }

        return $some;
    }

    /**
     * The same as a side that can be opposed to another.
     *
     * @param 'a'|'b' $side
     *
     * @return list<Sided>
     */
    public function sided(string $side): array
    {
        return array_values(array_map(static fn (array $g): Sided => new Sided(
            $side, $g['alike'], $g['article'], [...array_fill(0, $g['held'], 1.0), ...array_fill(0, $g['tried'] - $g['held'], 0.0)],
            from: $g['made'],
        ), $this->groups));
    }

    /**
     * @param array{alike: Alikeness, design: Design, method: string, article: string, made: Circumstances, first: string, held: int,
     *     tried: int, onlyJust: int} $group
     */
    private function add(string $key, array $group): void
    {
        $known = $this->groups[$key] ?? null;
        $this->groups[$key] = $known === null ? $group : [
            'first' => min($known['first'], $group['first']), 'held' => $known['held'] + $group['held'],
            'tried' => $known['tried'] + $group['tried'], 'made' => $known['made']->and($group['made']),
            'onlyJust' => $known['onlyJust'] + $group['onlyJust'],
        ] + $known;
        $this->held += $group['held'];
        $this->tried += $group['tried'];
    }
}
