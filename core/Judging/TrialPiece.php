<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Run\Alikeness;
use Lustrum\Core\Run\RunFact;

/** How some runs of a trial ended, before it is put together with how others did. */
final readonly class TrialPiece
{
    /**
     * @param string $first by which pieces are put in order: the first run
     * @param array<string, string> $channels units by metric
     * @param bool $answers the method asks something
     * @param array<string, array{first: string, said: string, held: int, failed: int}> $cells of runs that say something
     * @param int $aside runs set aside from the evidence of the design
     * @param string $asideFor why, of the first of them
     */
    private function __construct(
        public string $first,
        public array $channels,
        public bool $answers,
        public array $cells,
        public int $aside,
        public string $asideFor,
    ) {
    }

    /** @param list<RunFact> $runs finished ones, in the order in which they were made */
    public static function of(array $runs): self
    {
        $channels = $cells = [];
        $answers = false;
        foreach ($runs as $run) {
            foreach ($run->configuration->channels as $channel) {
                $channels[$channel->metric] ??= $channel->unit;
            }
            $answers = $answers || $run->configuration->questions !== [];
            if ($run->says() && ($run->held() || $run->failed())) {
                $alike = Alikeness::of($run);
                $cells[$alike->cell] ??= ['first' => $run->order(), 'said' => $alike->said(), 'held' => 0, 'failed' => 0];
                ++$cells[$alike->cell][$run->failed() ? 'failed' : 'held'];
            }
        }
        $aside = array_values(array_filter($runs, static fn (RunFact $r): bool => $r->aside !== ''));

        return new self(
            $runs === [] ? '' : $runs[0]->order(), $channels, $answers, $cells, count($aside), $aside === [] ? '' : $aside[0]->aside,
        );
    }

    /**
     * Several as one.
     *
     * @param list<self> $some
     */
    public static function together(array $some): self
    {
        usort($some, static fn (self $a, self $b): int => $a->first <=> $b->first);
        $channels = $cells = [];
        $answers = false;
        $aside = 0;
        $asideFor = '';
        foreach ($some as $piece) {
            $channels += $piece->channels;
            $answers = $answers || $piece->answers;
            foreach ($piece->cells as $key => $cell) {
                $known = $cells[$key] ?? ['held' => 0, 'failed' => 0] + $cell;
                $cells[$key] = [
                    'first' => min($known['first'], $cell['first']), 'said' => $known['said'],
                    'held' => $known['held'] + $cell['held'], 'failed' => $known['failed'] + $cell['failed'],
                ];
            }
            $aside += $piece->aside;
            $asideFor = $asideFor === '' ? $piece->asideFor : $asideFor;
        }
        uasort($cells, static fn (array $a, array $b): int => $a['first'] <=> $b['first']);

        return new self($some === [] ? '' : $some[0]->first, $channels, $answers, $cells, $aside, $asideFor);
    }
}
