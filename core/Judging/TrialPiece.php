<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Run\Alikeness;
use Lustrum\Core\Run\CountsFor;
use Lustrum\Core\Run\Design;
use Lustrum\Core\Run\RunFact;

/** How some runs of a trial ended, before it is put together with how others did. */
final readonly class TrialPiece
{
    /**
     * @param string $first by which pieces are put in order: the first run
     * @param array<string, string> $channels units by metric
     * @param bool $answers the method asks something
     * @param array<string, array{first: string, metric: string, said: string, design: Design, held: int, failed: int}> $cells of runs
     *     that say something: one for each question, cell and state that they were made on; without a question its metric is empty
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

    /**
     * @param list<RunFact>               $runs      finished ones, in the order in which they were made
     * @param array<string, list<string>> $unrelated what bears on nothing of a metric, by metric
     */
    public static function of(array $runs, array $unrelated = []): self
    {
        $channels = $cells = [];
        $answers = false;
        foreach ($runs as $run) {
            foreach ($run->configuration->channels as $channel) {
                $channels[$channel->metric] ??= $channel->unit;
            }
            $answers = $answers || $run->configuration->questions !== [];
            foreach ($run->says() ? self::answered($run) : [] as $metric => $held) {
                [$alike, $design] = [Alikeness::of($run), Design::of($run->configuration, $unrelated[$metric] ?? [])];
                $key = implode("\x1d", [$metric, $alike->cell, $design->key]);
                $cells[$key] ??= [
                    'first' => $run->order(), 'metric' => (string) $metric, 'said' => $alike->said(), 'design' => $design, 'held' => 0,
                    'failed' => 0,
                ];
                ++$cells[$key][$held ? 'held' : 'failed'];
            }
        }
        $aside = array_values(array_filter($runs, static fn (RunFact $r): bool => $r->countsFor() === CountsFor::Aside));

        return new self(
            $runs === [] ? '' : $runs[0]->order(), $channels, $answers, $cells, count($aside), $aside === [] ? '' : $aside[0]->aside,
        );
    }

    /** @return array<string, bool> whether it held in what each metric asks; where nothing is asked, how it ended */
    private static function answered(RunFact $run): array
    {
        $metrics = array_column($run->configuration->questions, 'metric');
        $said = $metrics === []
            ? ['' => $run->held() || $run->failed() ? $run->held() : null]
            : array_combine($metrics, array_map($run->heldIn(...), $metrics));

        return array_filter($said, static fn (?bool $held): bool => $held !== null);
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
                    'first' => min($known['first'], $cell['first']), 'held' => $known['held'] + $cell['held'],
                    'failed' => $known['failed'] + $cell['failed'],
                ] + $known;
            }
            $aside += $piece->aside;
            $asideFor = $asideFor === '' ? $piece->asideFor : $asideFor;
        }
        uasort($cells, static fn (array $a, array $b): int => $a['first'] <=> $b['first']);

        return new self($some === [] ? '' : $some[0]->first, $channels, $answers, $cells, $aside, $asideFor);
    }
}
