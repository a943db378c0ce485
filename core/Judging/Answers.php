<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Run\RunFact;

/** How often some runs held that were asked for one metric, counted by the rung that they name. */
final class Answers
{
    public int $held = 0;
    public int $tried = 0;

    /** @var array<array-key, array{first: string, held: int, tried: int}> by rung as typed; first: where its first run stands */
    public array $rungs = [];

    public function __construct(
        public readonly string $metric,
    ) {
    }

    /** Takes a run that held or failed; one that did neither answers nothing. */
    public function take(RunFact $run): void
    {
        if ($run->held() || $run->failed()) {
            $this->add($run->position, ['first' => $run->order(), 'held' => $run->held() ? 1 : 0, 'tried' => 1]);
        }
    }

    /** @param list<self> $some of one metric */
    public static function together(string $metric, array $some): self
    {
        $all = new self($metric);
        foreach ($some as $answers) {
            foreach ($answers->rungs as $rung => $count) {
                $all->add((string) $rung, $count);
            }
        }
        uasort($all->rungs, static fn (array $a, array $b): int => $a['first'] <=> $b['first']);

        return $all;
    }

    /** @param array{first: string, held: int, tried: int} $count */
    private function add(string $rung, array $count): void
    {
        $known = $this->rungs[$rung] ?? ['first' => $count['first'], 'held' => 0, 'tried' => 0];
        $this->rungs[$rung] = [
            'first' => min($known['first'], $count['first']), 'held' => $known['held'] + $count['held'],
            'tried' => $known['tried'] + $count['tried'],
        ];
        $this->held += $count['held'];
        $this->tried += $count['tried'];
    }
}
