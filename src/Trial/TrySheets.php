<?php

declare(strict_types=1);

namespace Lustrum\Trial;

use Lustrum\Core\Statistics\Proportion;
use Lustrum\Core\Statistics\Sample;
use Lustrum\Method\Method;
use Lustrum\Method\MethodView;
use Lustrum\Record\Records;
use Lustrum\Revision\Article;
use Lustrum\Revision\ArticleView;
use Lustrum\Revision\Revision;
use Lustrum\Weighing\Dossier;
use Lustrum\Weighing\Dossiers;
use Lustrum\Weighing\Estimate;
use Lustrum\Weighing\Measured;
use Lustrum\Weighing\RunFact;

/** Works out the Try station. */
final readonly class TrySheets
{
    public function __construct(
        private Records $records,
        private Dossiers $dossiers,
    ) {
    }

    public function of(Revision $revision): TrySheet
    {
        $dossier = $this->dossiers->open($revision->device());
        $trials = $this->records->all(Trial::class, ['revision' => $revision]);
        $runs = $this->dots($trials);
        $rows = array_reverse(array_map(fn (Trial $t): TrialRow => self::row($t, $runs[$t->id()->toRfc4122()] ?? [], $dossier), $trials));

        return new TrySheet(
            self::sentence($revision, $rows),
            $revision->view(), $rows,
            array_map(static fn (Method $m): MethodView => $m->view(), array_values($dossier->methods)),
            array_map(static fn (Article $a): ArticleView => $a->view(), $this->records->all(Article::class, ['revision' => $revision])),
        );
    }

    /**
     * @param list<Trial> $trials
     *
     * @return array<string, list<RunDot>>
     */
    public function dots(array $trials): array
    {
        $dots = [];
        foreach ($trials === [] ? [] : $this->records->manager()->getRepository(Run::class)->findBy(['trial' => $trials, 'withdrawnBecause' => null], ['number' => 'ASC']) as $run) {
            $view = $run->view();
            $dots[$view->trial][] = new RunDot($view->id, $view->number, $view->startedAt, $view->outcome, $run->article()?->serial() ?? '');
        }

        return $dots;
    }

    /** @param list<RunDot> $runs */
    private static function row(Trial $trial, array $runs, Dossier $dossier): TrialRow
    {
        $id = $trial->id()->toRfc4122();
        $facts = array_values(array_filter($dossier->runs, static fn (RunFact $r): bool => $r->trial === $id));
        $results = [];
        foreach ($trial->method()->channels() as $channel) {
            $unit = $dossier->comparisons->requirement($channel->metric)?->unit() ?? $channel->unit;
            $measured = Measured::of($channel->metric, $facts, $unit);
            if ($measured->values !== []) {
                $results[] = sprintf('%s %s', $channel->metric, Estimate::of(Sample::of($measured->values)->interval($dossier->device->confidence()), $measured->unit, $measured->decimals, count($measured->values))->text)
                    .($measured->bounds === [] ? '' : sprintf(', and %d bounds', count($measured->bounds)));
            } elseif ($measured->bounds !== []) {
                $results[] = sprintf('%s: only bounds (%d)', $channel->metric, count($measured->bounds));
            }
        }
        $held = count(array_filter($facts, static fn (RunFact $r): bool => $r->outcome === RunOutcome::Held));
        $failed = count(array_filter($facts, static fn (RunFact $r): bool => $r->outcome === RunOutcome::Failed));
        if ($held + $failed > 0 && ($failed > 0 || $trial->method()->view()->outcomeMetric !== '')) {
            $share = Proportion::of($failed, $held + $failed)->interval($dossier->device->confidence());
            $results[] = sprintf('held %d of %d; it may still fail in %d to %d %% of tries', $held, $held + $failed, round(100 * (float) $share->low), round(100 * (float) $share->high));
        }
        $unfinished = count(array_filter($runs, static fn (RunDot $r): bool => $r->outcome === null));
        $count = sprintf('%d of %d %s', count($runs), $trial->view()->plannedRuns, $trial->view()->plannedRuns === 1 ? 'run' : 'runs')
            .($unfinished > 0 ? sprintf(', %d unfinished', $unfinished) : '')
            .($trial->view()->repeats === RepeatPurpose::UntilItHolds && $held > 0 ? ', stopped at first success' : '');
        $times = array_map(static fn (RunDot $r): string => $r->startedAt, $runs);

        return new TrialRow($trial->view(), $trial->method()->name(), $runs, $times === [] ? null : min($times), $times === [] ? null : max($times), $count, $results);
    }

    /** @param list<TrialRow> $rows */
    private static function sentence(Revision $revision, array $rows): string
    {
        if ($rows === []) {
            return sprintf('Build %s has not been tried. Start with the cheapest check that could prove it wrong.', $revision->letter());
        }
        $runs = array_merge(...array_map(static fn (TrialRow $r): array => $r->runs, $rows));
        $count = static fn (?RunOutcome $o): int => count(array_filter($runs, static fn (RunDot $r): bool => $r->outcome === $o));
        $parts = array_filter([
            $count(RunOutcome::Held) > 0 ? sprintf('%d held', $count(RunOutcome::Held)) : '',
            $count(RunOutcome::Failed) > 0 ? sprintf('%d failed', $count(RunOutcome::Failed)) : '',
            $count(RunOutcome::StoppedEarly) > 0 ? sprintf('%d stopped early', $count(RunOutcome::StoppedEarly)) : '',
            $count(RunOutcome::Lost) > 0 ? sprintf('%d lost in handling', $count(RunOutcome::Lost)) : '',
            $count(RunOutcome::Void) > 0 ? sprintf('%d void', $count(RunOutcome::Void)) : '',
            $count(null) > 0 ? sprintf('%d unfinished', $count(null)) : '',
        ]);

        return sprintf('Build %s: %d %s in %d %s%s.', $revision->letter(), count($runs), count($runs) === 1 ? 'run' : 'runs', count($rows), count($rows) === 1 ? 'trial' : 'trials', $parts === [] ? '' : ', '.implode(', ', $parts));
    }
}
