<?php

declare(strict_types=1);

namespace Lustrum\Finding;

use Lustrum\Core\Failure\FailureStatus;
use Lustrum\Core\Failure\LaterRevision;
use Lustrum\Core\Failure\Standing;
use Lustrum\Decision\Candidate;
use Lustrum\Record\Records;
use Lustrum\Revision\Article;
use Lustrum\Revision\ArticleView;
use Lustrum\Revision\ChangeView;
use Lustrum\Revision\Revision;
use Lustrum\Trial\RunOutcome;
use Lustrum\Weighing\Dossier;
use Lustrum\Weighing\Dossiers;
use Lustrum\Weighing\RunFact;

/** Works out the Find station. */
final readonly class FindSheets
{
    public function __construct(
        private Records $records,
        private Dossiers $dossiers,
    ) {
    }

    public function of(Revision $revision): FindSheet
    {
        $dossier = $this->dossiers->open($revision->device());
        $candidates = [];
        foreach ($this->records->all(Candidate::class, ['revision' => array_values($dossier->tree->revisions)]) as $candidate) {
            $failure = $candidate->failure()?->id()->toRfc4122();
            if ($failure !== null) {
                $candidates[$failure][] = $candidate->view()->what;
            }
        }
        $rows = array_map(fn (FailureView $f): FailureRow => $this->row($f, $revision, $dossier, $candidates[$f->id] ?? []), $dossier->failuresOf($revision));
        $modes = self::modes($dossier);

        return new FindSheet(
            self::sentence($revision, $rows, $modes),
            $revision->view(),
            array_map(static fn (Photo $p): PhotoView => $p->view(), $this->records->all(Photo::class, ['revision' => $revision])),
            array_reverse($rows),
            array_map(static fn (Observation $o): ObservationView => $o->view(), $this->records->all(Observation::class, ['revision' => $revision])),
            $modes,
            array_map(static fn (Article $a): ArticleView => $a->view(), $this->records->all(Article::class, ['revision' => $revision])),
        );
    }

    /** @param list<string> $candidates */
    private function row(FailureView $failure, Revision $revision, Dossier $dossier, array $candidates): FailureRow
    {
        $run = array_values(array_filter($dossier->runs, static fn (RunFact $r): bool => $r->id === $failure->run))[0] ?? null;
        $status = self::status($failure, $revision, $dossier, $run);

        return new FailureRow(
            $failure, $run->serial ?? '', $run === null ? null : sprintf('run %d of %s', $run->number, $run->trialName),
            $dossier->causesOf($failure->id), $status->standing, $status->sentence, $candidates,
        );
    }

    private static function status(FailureView $failure, Revision $revision, Dossier $dossier, ?RunFact $run): FailureStatus
    {
        $later = [];
        $twins = array_map(static fn (FailureView $f): string => $f->id, self::twins($failure, $dossier));
        foreach ($dossier->tree->descendants($revision) as $descendant) {
            $fixes = array_filter($dossier->tree->changesSince($revision, $descendant), static fn (ChangeView $c): bool => in_array($c->against, $twins, true));
            $id = $descendant->id()->toRfc4122();
            $held = array_filter($dossier->runs, static fn (RunFact $r): bool => $r->revision === $id && $r->outcome === RunOutcome::Held && ($run === null || $r->method === $run->method));
            $recurred = array_filter(self::twins($failure, $dossier), static fn (FailureView $f): bool => $f->revision === $id);
            $later[] = new LaterRevision($descendant->letter(), $fixes !== [], count($held), count($recurred));
        }

        return FailureStatus::of($later);
    }

    /** @return list<FailureView> all failures of the same mode, itself among them */
    private static function twins(FailureView $failure, Dossier $dossier): array
    {
        return array_values(array_filter(array_map(static fn (Failure $f): FailureView => $f->view(), $dossier->failures), static fn (FailureView $f): bool => mb_strtolower($f->mode) === mb_strtolower($failure->mode)));
    }

    /** @return list<ModeRow> most frequent first */
    private static function modes(Dossier $dossier): array
    {
        $byMode = [];
        foreach ($dossier->failures as $failure) {
            $byMode[mb_strtolower($failure->mode())][] = $failure->view();
        }
        $rows = [];
        foreach ($byMode as $failures) {
            $runs = array_column(array_map(static fn (RunFact $r): array => [$r->id, $r], $dossier->runs), 1, 0);
            $methods = array_unique(array_filter(array_map(static fn (FailureView $f): string => isset($runs[$f->run ?? '']) ? $runs[$f->run]->method : '', $failures)));
            $counts = [];
            foreach ($dossier->tree->revisions as $id => $revision) {
                $tried = count(array_filter($dossier->runs, static fn (RunFact $r): bool => $r->revision === $id && in_array($r->method, $methods, true) && $r->outcome->says()));
                $counts[] = new ModeCount($id, $revision->letter(), count(array_filter($failures, static fn (FailureView $f): bool => $f->revision === $id)), $tried);
            }
            $rows[] = new ModeRow($failures[0]->mode, $failures[0]->place, $counts, count($failures), self::modeSentence($counts));
        }
        usort($rows, static fn (ModeRow $a, ModeRow $b): int => $b->total <=> $a->total);

        return $rows;
    }

    /** @param list<ModeCount> $counts */
    private static function modeSentence(array $counts): string
    {
        $seen = array_values(array_filter($counts, static fn (ModeCount $c): bool => $c->failures > 0));
        $last = $seen[count($seen) - 1];
        $after = array_slice($counts, (int) array_search($last, $counts, true) + 1);
        $tried = array_sum(array_map(static fn (ModeCount $c): int => $c->tried, $after));

        return match (true) {
            $after === [] => sprintf('Still there on %s.', $last->letter),
            $tried > 0 => sprintf('Last seen on %s; not in %d runs of the same kind since.', $last->letter, $tried),
            default => sprintf('Last seen on %s; nobody has tried it since.', $last->letter),
        };
    }

    /**
     * @param list<FailureRow> $rows
     * @param list<ModeRow>    $modes
     */
    private static function sentence(Revision $revision, array $rows, array $modes): string
    {
        if ($rows === []) {
            return $modes === []
                ? 'No failures yet. When something breaks, this station shows where failures gather and where they vanish.'
                : sprintf('Build %s has no recorded failure. %s', $revision->letter(), sprintf('The most frequent one on this device is “%s”. %s', $modes[0]->mode, $modes[0]->sentence));
        }
        $byMode = array_count_values(array_map(static fn (FailureRow $r): string => mb_strtolower($r->failure->mode), $rows));
        arsort($byMode);
        $without = count(array_filter($rows, static fn (FailureRow $r): bool => $r->causes === []));
        $back = array_values(array_filter($rows, static fn (FailureRow $r): bool => $r->standing === Standing::CameBack));
        $text = sprintf('Build %s: %d %s in %d %s, most often “%s”', $revision->letter(), count($rows), count($rows) === 1 ? 'failure' : 'failures', count($byMode), count($byMode) === 1 ? 'mode' : 'modes', array_key_first($byMode));
        if ($back !== []) {
            $text .= sprintf('. “%s”: %s', $back[0]->failure->mode, lcfirst(rtrim($back[0]->sentence, '.')));
        }

        return $text.($without > 0 ? sprintf('. %d %s no suspected cause yet.', $without, $without === 1 ? 'has' : 'have') : '. Each has a suspected cause.');
    }
}
