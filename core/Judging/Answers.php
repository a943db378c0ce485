<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Alike\AlikeRun;
use Lustrum\Core\CoreException;
use Lustrum\Core\Quantity\Quantity;
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

    /**
     * The same as runs of a side that can be opposed to runs that are like them: those of one level make a cell.
     *
     * @return list<AlikeRun>
     */
    public function runs(string $side): array
    {
        $out = [];
        foreach ($this->rungs as $typed => $count) {
            $cell = self::level((string) $typed);
            array_push($out, ...array_fill(0, $count['held'], new AlikeRun($side, $cell, 1.0)));
            array_push($out, ...array_fill(0, $count['tried'] - $count['held'], new AlikeRun($side, $cell, 0.0)));
        }

        return $out;
    }

    /** 1 m and 100 cm are one level; what is no quantity is a word. */
    private static function level(string $typed): string
    {
        try {
            $quantity = Quantity::typed($typed);

            return sprintf('%.9g %s', $quantity->si(), $quantity->unit->dimension->siUnit());
        } catch (CoreException) {
            return mb_strtolower(trim($typed));
        }
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
