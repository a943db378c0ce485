<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Weigh;

use Lustrum\Core\Judging\Build;
use Lustrum\Core\Judging\Cell;
use Lustrum\Core\Judging\ChangesSeen;
use Lustrum\Core\Judging\Headline;
use Lustrum\Core\Judging\MetricComparison;
use Lustrum\Core\Judging\OutcomeComparison;
use Lustrum\Core\Judging\SidesWithin;
use Lustrum\Core\Wording\ComparisonWords;
use Lustrum\Core\Wording\EvidenceWords;
use Lustrum\Domain\Device\Requirement;
use Lustrum\Domain\Device\RequirementView;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Domain\Revision\RevisionView;
use Lustrum\Domain\Trial\Panel;
use Lustrum\Facts\Against;
use Lustrum\Facts\Book;
use Lustrum\Facts\Books;
use Lustrum\Facts\MethodFacts;
use Lustrum\Facts\Opened;
use Lustrum\Facts\PanelFacts;
use Lustrum\Record\Records;
use Lustrum\Sheet\Brief\Uses;
use Lustrum\Sheet\Build\Standing;
use Lustrum\Sheet\Panel\PanelPages;
use Symfony\Component\Uid\Uuid;

/** Works out the Weigh station: evidence of all builds, and this build against another. */
final readonly class WeighSheets
{
    public function __construct(
        private Records $records,
        private Books $books,
        private Opened $opened,
        private Standing $standing,
        private Uses $uses,
        private MethodFacts $methods,
        private PanelFacts $panelFacts,
        private PanelPages $panelPages,
    ) {
    }

    public function of(Revision $revision, ?Revision $against): WeighSheet
    {
        $against ??= $revision->parent();
        $book = $this->books->open($revision->device());
        $shown = array_map(static fn (Revision $r): string => $r->id()->toRfc4122(), array_values(array_filter([$revision, $against])));
        $build = $book->build($revision->id()->toRfc4122());
        $other = $against === null ? null : $book->build($against->id()->toRfc4122());
        $isAncestor = $other !== null && in_array($other, $book->lineage()->ancestors($build), true);
        $changes = $isAncestor ? $book->lineage()->changesSince($other, $build) : [];
        $stands = $other === null ? $book->alone($build) : $book->against($build, $other);
        $cells = $views = [];
        foreach ($this->records->all(Revision::class, ['device' => $revision->device()]) as $one) {
            $views[$one->id()->toRfc4122()] = $one->view();
        }
        foreach ($book->lineage()->builds as $id => $one) {
            $cells[$id] = $book->cells($one);
        }
        $requirements = array_map(
            static fn (Requirement $r): RequirementView => $r->view(),
            $this->records->all(Requirement::class, ['device' => $revision->device()]),
        );
        usort($requirements, static fn (RequirementView $a, RequirementView $b): int => $a->place <=> $b->place);

        return new WeighSheet(
            EvidenceWords::table(
                EvidenceWords::standing($build), $cells[$build->id],
                trim(EvidenceWords::noArm($build).' '.self::first($stands, $book, $other)),
                array_map(static fn (Cell $c): string => $book->metric($c->wanted->metric), $cells[$build->id]),
            ),
            $revision->view(), $against?->view(), array_map(
                static fn (Build $b): RevisionView => $views[$b->id], array_values($book->lineage()->builds),
            ),
            $requirements, array_map(
                static fn (Cell $c): EvidenceCell => EvidenceCell::of($c, $book->metric($c->wanted->metric)),
                array_merge(...array_values($cells)),
            ),
            array_map(
                static fn (MetricComparison $c): ComparisonRow => ComparisonRow::of(
                    $c, $book->metric($c->metric), $other->letter ?? '', $book->device->confidence,
                    ChangesSeen::acting($changes, $c->metric), array_values(array_filter([$build, $other])),
                ),
                $stands->values,
            ),
            array_map(static fn (OutcomeComparison $c): OutcomeRow => OutcomeRow::of(
                $c, $book->metric($c->metric), ChangesSeen::acting($changes, $c->metric), array_values(array_filter([$build, $other])),
            ), $stands->outcomes),
            array_map(static fn (SidesWithin $s): SidesRow => SidesRow::of(
                $s, $book->metric($s->metric), self::moreIsBetter($book, $s->metric), $build,
            ), $book->sidesWithin($build)),
            EvidenceWords::confidence($book->device->confidence), $this->standing->rests($revision),
            $this->uses->of($revision->device(), $build, $book),
            RehearsedUse::all(
                $this->methods->rehearsing($revision->belongsTo()->toRfc4122(), $build->id), $build->letter,
            ), $this->panels($revision), $this->opened->isNew($book, ...$shown),
        );
    }

    /** @return list<PanelSaid> */
    private function panels(Revision $revision): array
    {
        $out = [];
        foreach (array_merge(...array_values($this->panelFacts->ofBuild($revision->id()->toRfc4122()))) as $panel) {
            if ($panel['unblinded']) {
                $out[] = PanelSaid::of($this->panelPages->of($this->records->find(Panel::class, Uuid::fromString($panel['id']))));
            }
        }

        return $out;
    }

    private static function moreIsBetter(Book $book, string $metric): bool
    {
        foreach ($book->wanted() as $wanted) {
            if ($wanted->metric === $metric) {
                return $wanted->rule->direction->sign() > 0;
            }
        }

        return true;
    }

    private static function first(Against $stands, Book $book, ?Build $other): string
    {
        if ($other === null) {
            return '';
        }
        $headline = Headline::of($stands->values, $stands->outcomes, $book->wanted(), $book->device->confidence);
        $first = $headline->first;

        return trim(ComparisonWords::headline(
            $first === null ? '' : ComparisonWords::sentence($first, $book->metric($first->metric), $other->letter), $headline->looked,
            $other->letter,
        ).' '.($headline->maybe === null ? '' : ComparisonWords::maybeWorse(
            $book->metric($headline->maybe->metric), $headline->musts,
        )));
    }
}
