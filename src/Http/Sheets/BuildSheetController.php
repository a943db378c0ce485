<?php

declare(strict_types=1);

namespace Lustrum\Http\Sheets;

use Lustrum\Domain\Decision\Decision;
use Lustrum\Domain\Decision\DecisionView;
use Lustrum\Domain\Device\Metric;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Domain\Trial\Run;
use Lustrum\Facts\Opened;
use Lustrum\Http\Answers;
use Lustrum\Http\Cached;
use Lustrum\Http\Door\Needs;
use Lustrum\Http\Door\Who;
use Lustrum\Record\Records;
use Lustrum\Shared\Page;
use Lustrum\Shared\Refusal\Invalid;
use Lustrum\Sheet\Build\BuildSheet;
use Lustrum\Sheet\Build\BuildSheets;
use Lustrum\Sheet\Explain\Explanation;
use Lustrum\Sheet\Explain\Explanations;
use Lustrum\Sheet\Field\FieldSheet;
use Lustrum\Sheet\Field\FieldSheets;
use Lustrum\Sheet\Find\FailurePage;
use Lustrum\Sheet\Find\FindSheet;
use Lustrum\Sheet\Find\FindSheets;
use Lustrum\Sheet\Find\ObservationPage;
use Lustrum\Sheet\Find\PhotoPage;
use Lustrum\Sheet\Next\NextSheet;
use Lustrum\Sheet\Next\NextSheets;
use Lustrum\Sheet\Run\RunSheet;
use Lustrum\Sheet\Run\RunSheets;
use Lustrum\Sheet\Runs\RunPage;
use Lustrum\Sheet\Runs\RunPages;
use Lustrum\Sheet\Try\TrySheet;
use Lustrum\Sheet\Try\TrySheets;
use Lustrum\Sheet\Weigh\WeighSheet;
use Lustrum\Sheet\Weigh\WeighSheets;
use Lustrum\Sheet\Workshop\Workshops;
use Lustrum\Sheet\Workshop\WorkshopSheet;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement as Pattern;
use Symfony\Component\Uid\Uuid;

final readonly class BuildSheetController
{
    private const ID = ['id' => Pattern::UUID];

    public function __construct(
        private Records $records,
        private Cached $cached,
    ) {
    }

    /** What stands behind a build: files, modules, making, spending. */
    #[Route('/api/revisions/{id}/workshop', requirements: self::ID, methods: ['GET'])]
    #[Needs(Who::Reader)]
    #[Answers(WorkshopSheet::class)]
    public function workshop(Uuid $id, Request $request, Workshops $sheets): Response
    {
        $build = $this->records->find(Revision::class, $id);

        return $this->cached->sheet($request, $build, static fn (): WorkshopSheet => $sheets->of($build));
    }

    /** The Build station. */
    #[Route('/api/revisions/{id}/build', requirements: self::ID, methods: ['GET'])]
    #[Needs(Who::Reader)]
    #[Answers(BuildSheet::class)]
    public function build(Uuid $id, Request $request, BuildSheets $sheets): Response
    {
        $build = $this->records->find(Revision::class, $id);

        return $this->cached->sheet($request, $build, static fn (): BuildSheet => $sheets->of($build));
    }

    /** What a phone takes along of a build. */
    #[Route('/api/revisions/{id}/field', requirements: self::ID, methods: ['GET'])]
    #[Needs(Who::Reader)]
    #[Answers(FieldSheet::class)]
    public function field(Uuid $id, Request $request, FieldSheets $sheets): Response
    {
        $build = $this->records->find(Revision::class, $id);

        return $this->cached->sheet($request, $build, static fn (): FieldSheet => $sheets->of($build));
    }

    /** The Try station. */
    #[Route('/api/revisions/{id}/try', requirements: self::ID, methods: ['GET'])]
    #[Needs(Who::Reader)]
    #[Answers(TrySheet::class)]
    public function try(Uuid $id, Request $request, TrySheets $sheets): Response
    {
        $build = $this->records->find(Revision::class, $id);

        return $this->cached->sheet($request, $build, static fn (): TrySheet => $sheets->of($build));
    }

    /** The sheet of one run. */
    #[Route('/api/runs/{id}', requirements: self::ID, methods: ['GET'])]
    #[Needs(Who::Reader)]
    #[Answers(RunSheet::class)]
    public function run(Uuid $id, Request $request, RunSheets $sheets): Response
    {
        $run = $this->records->find(Run::class, $id);

        return $this->cached->sheet($request, $run, static fn (): RunSheet => $sheets->of($run));
    }

    /** The Find station. */
    #[Route('/api/revisions/{id}/find', requirements: self::ID, methods: ['GET'])]
    #[Needs(Who::Reader)]
    #[Answers(FindSheet::class)]
    public function find(Uuid $id, Request $request, FindSheets $sheets): Response
    {
        $build = $this->records->find(Revision::class, $id);

        return $this->cached->sheet($request, $build, static fn (): FindSheet => $sheets->of($build));
    }

    /** More failures of a build; ?after= says behind which. */
    #[Route('/api/revisions/{id}/failures', requirements: self::ID, methods: ['GET'])]
    #[Needs(Who::Reader)]
    #[Answers(FailurePage::class, query: ['after'])]
    public function failures(Uuid $id, Request $request, FindSheets $sheets): JsonResponse
    {
        return new JsonResponse($sheets->failures($this->records->find(Revision::class, $id), self::page($request)));
    }

    /** More photos of a build. */
    #[Route('/api/revisions/{id}/photos', requirements: self::ID, methods: ['GET'])]
    #[Needs(Who::Reader)]
    #[Answers(PhotoPage::class, query: ['after'])]
    public function photos(Uuid $id, Request $request, FindSheets $sheets): JsonResponse
    {
        return new JsonResponse($sheets->photos($this->records->find(Revision::class, $id), self::page($request)));
    }

    /** More of what was seen on a build. */
    #[Route('/api/revisions/{id}/observations', requirements: self::ID, methods: ['GET'])]
    #[Needs(Who::Reader)]
    #[Answers(ObservationPage::class, query: ['after'])]
    public function observations(Uuid $id, Request $request, FindSheets $sheets): JsonResponse
    {
        return new JsonResponse($sheets->observations($this->records->find(Revision::class, $id), self::page($request)));
    }

    /** The Weigh station: evidence of all builds, and this build against its parent, or another with ?against=. */
    #[Route('/api/revisions/{id}/weigh', requirements: self::ID, methods: ['GET'])]
    #[Needs(Who::Reader)]
    #[Answers(WeighSheet::class, query: ['against'])]
    public function weigh(Uuid $id, Request $request, WeighSheets $sheets): Response
    {
        $build = $this->records->find(Revision::class, $id);
        $against = $this->against($request, $build);

        return $this->cached->sheet($request, $build, static fn (): WeighSheet => $sheets->of($build, $against));
    }

    /** The answer of Weigh was shown, with all runs that have ended: later looks cost confidence, so they are counted. */
    #[Route('/api/revisions/{id}/looked', requirements: self::ID, methods: ['POST'])]
    #[Needs(Who::Reader)]
    #[Answers(null, query: ['against'])]
    public function looked(Uuid $id, Request $request, Opened $opened): Response
    {
        $build = $this->records->find(Revision::class, $id);
        $against = $this->against($request, $build) ?? $build->parent();
        $opened->count(...array_map(
            static fn (Revision $r): string => $r->id()->toRfc4122(), array_values(array_filter([$build, $against])),
        ));

        return new Response(null, Response::HTTP_NO_CONTENT);
    }

    /** The Next station. */
    #[Route('/api/revisions/{id}/next', requirements: self::ID, methods: ['GET'])]
    #[Needs(Who::Reader)]
    #[Answers(NextSheet::class)]
    public function next(Uuid $id, Request $request, NextSheets $sheets): Response
    {
        $build = $this->records->find(Revision::class, $id);

        return $this->cached->sheet($request, $build, static fn (): NextSheet => $sheets->of($build));
    }

    /** The decision record, as one page. */
    #[Route('/api/decisions/{id}', requirements: self::ID, methods: ['GET'])]
    #[Needs(Who::Reader)]
    #[Answers(DecisionView::class)]
    public function decision(Uuid $id, Request $request): Response
    {
        $decision = $this->records->find(Decision::class, $id);

        return $this->cached->sheet($request, $decision, static fn (): DecisionView => $decision->view());
    }

    /** The runs of a build that say something of a ?metric=, and those of another build with ?against=. */
    #[Route('/api/revisions/{id}/runs', requirements: self::ID, methods: ['GET'])]
    #[Needs(Who::Reader)]
    #[Answers(RunPage::class, query: ['metric', 'against', 'after'])]
    public function runs(Uuid $id, Request $request, RunPages $pages): JsonResponse
    {
        $build = $this->records->find(Revision::class, $id);
        $metric = $this->records->named(Metric::class, $request->query->getString('metric'), 'metric');
        $against = $this->against($request, $build);

        return new JsonResponse(
            $pages->of($against === null ? [$build] : [$build, $against], $metric->id()->toRfc4122(), self::page($request)),
        );
    }

    /** How each method works, in words for a maker; the text of docs/guide/numbers.md. */
    #[Route('/api/explanations', methods: ['GET'])]
    #[Needs(Who::SignedIn)]
    #[Answers(Explanation::class, list: true)]
    public function explanations(Explanations $explanations): JsonResponse
    {
        return new JsonResponse($explanations->all());
    }

    private static function page(Request $request): Page
    {
        return Page::after($request->query->getString('after'));
    }

    private function against(Request $request, Revision $build): ?Revision
    {
        $id = $request->query->getString('against');
        if ($id === '') {
            return null;
        }
        $other = $this->records->named(Revision::class, $id, 'against');

        return $other->belongsTo()->equals($build->belongsTo()) ? $other : throw Invalid::at(
            'against', 'That build belongs to another device.',
        );
    }
}
