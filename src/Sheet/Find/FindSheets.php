<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Find;

use Lustrum\Core\Judging\Build;
use Lustrum\Core\Judging\Lineage;
use Lustrum\Core\Judging\Mode;
use Lustrum\Core\Wording\FailureWords;
use Lustrum\Domain\Finding\Failure;
use Lustrum\Domain\Finding\Observation;
use Lustrum\Domain\Finding\ObservationView;
use Lustrum\Domain\Finding\Photo;
use Lustrum\Domain\Finding\PhotoView;
use Lustrum\Domain\Method\Method;
use Lustrum\Domain\Method\MethodView;
use Lustrum\Domain\Revision\Article;
use Lustrum\Domain\Revision\ArticleView;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Facts\Books;
use Lustrum\Facts\FailureFacts;
use Lustrum\Facts\Pages;
use Lustrum\Facts\UnrecordedFailures;
use Lustrum\Record\Records;
use Lustrum\Shared\Page;

/** Works out the Find station; failures, photos and observations come by the page. */
final readonly class FindSheets
{
    public function __construct(
        private Records $records,
        private Books $books,
        private FailureFacts $failures,
        private UnrecordedFailures $unrecorded,
        private FailureRows $rows,
        private Pages $pages,
    ) {
    }

    public function of(Revision $revision): FindSheet
    {
        $book = $this->books->open($revision->device());
        $lineage = $book->lineage();
        $build = $book->build($revision->id()->toRfc4122());
        $standings = $book->standings($build);
        $modes = $standings->modes;
        $first = Page::after('');
        $unrecorded = $this->unrecorded->of($build->id);
        [$shown, $next, $total] = $this->pages->ofBuild(Failure::class, 'failure', $build->id, $first);
        [$photos, $nextPhotos, $allPhotos] = $this->pages->ofBuild(Photo::class, 'photo', $build->id, $first);
        [$seen, $nextSeen, $allSeen] = $this->pages->ofBuild(Observation::class, 'observation', $build->id, $first);

        return new FindSheet(
            FailureWords::sentence(
                $build->letter, $modes, $lineage, self::byMode($modes, $build), $standings->cameBack,
                $this->failures->withoutCause($book->device->id)[$build->id] ?? 0, $standings->others, $unrecorded,
            ),
            $revision->view(),
            array_map(UnrecordedRow::of(...), $unrecorded),
            array_map(static fn (Photo $p): PhotoView => $p->view(), $photos), $nextPhotos, $allPhotos,
            $this->rows->of($shown, $standings, $book->device->confidence), $next, $total,
            array_map(static fn (Observation $o): ObservationView => $o->view(), $seen), $nextSeen, $allSeen,
            array_map(static fn (Mode $m): ModeRow => self::mode($m, $lineage), array_slice($modes, 0, Page::SIZE)), count($modes),
            array_map(static fn (Article $a): ArticleView => $a->view(), $this->records->all(Article::class, ['revision' => $revision])),
            array_map(
                static fn (Method $m): MethodView => $m->view(),
                $this->records->all(Method::class, ['device' => $revision->device()]),
            ),
        );
    }

    /** More failures of a build. */
    public function failures(Revision $revision, Page $page): FailurePage
    {
        $book = $this->books->open($revision->device());
        $build = $book->build($revision->id()->toRfc4122());
        [$shown, $next] = $this->pages->ofBuild(Failure::class, 'failure', $build->id, $page);

        return new FailurePage($this->rows->of($shown, $book->standings($build), $book->device->confidence), $next);
    }

    public function photos(Revision $revision, Page $page): PhotoPage
    {
        [$shown, $next] = $this->pages->ofBuild(Photo::class, 'photo', $revision->id()->toRfc4122(), $page);

        return new PhotoPage(array_map(static fn (Photo $p): PhotoView => $p->view(), $shown), $next);
    }

    public function observations(Revision $revision, Page $page): ObservationPage
    {
        [$shown, $next] = $this->pages->ofBuild(Observation::class, 'observation', $revision->id()->toRfc4122(), $page);

        return new ObservationPage(array_map(static fn (Observation $o): ObservationView => $o->view(), $shown), $next);
    }

    /**
     * @param list<Mode> $modes
     *
     * @return array<string, int> failures of the build by mode
     */
    private static function byMode(array $modes, Build $build): array
    {
        $out = [];
        foreach ($modes as $mode) {
            if (($mode->failures[$build->id] ?? 0) > 0) {
                $out[$mode->mode] = $mode->failures[$build->id];
            }
        }

        return $out;
    }

    private static function mode(Mode $mode, Lineage $lineage): ModeRow
    {
        $counts = [];
        foreach ($lineage->builds as $id => $build) {
            $counts[] = new ModeCount($id, $build->letter, $mode->failures[$id] ?? 0, $mode->tried($id));
        }

        return new ModeRow($mode->mode, $mode->place, $counts, $mode->total, FailureWords::mode($mode, $lineage));
    }
}
