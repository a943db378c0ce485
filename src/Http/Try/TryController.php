<?php

declare(strict_types=1);

namespace Lustrum\Http\Try;

use Lustrum\Action\Run\PlanningRest;
use Lustrum\Action\Run\SayingState;
use Lustrum\Action\Run\TakingUp;
use Lustrum\Action\Run\TryingSomething;
use Lustrum\Domain\Trial\RestInput;
use Lustrum\Domain\Trial\Run;
use Lustrum\Domain\Trial\RunView;
use Lustrum\Domain\Trial\SaidView;
use Lustrum\Domain\Trial\StateInput;
use Lustrum\Domain\Trial\TakeUpInput;
use Lustrum\Domain\Trial\Trial;
use Lustrum\Domain\Trial\TrialView;
use Lustrum\Domain\Trial\TriedView;
use Lustrum\Domain\Trial\TryInput;
use Lustrum\Http\Answer;
use Lustrum\Http\Answers;
use Lustrum\Http\Body;
use Lustrum\Http\Door\Needs;
use Lustrum\Http\Door\Takes;
use Lustrum\Http\Door\Who;
use Lustrum\Record\Records;
use Lustrum\Shared\LineInput;
use Lustrum\Sheet\Start\Starts;
use Lustrum\Sheet\Start\StartSheet;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Uid\Uuid;

/** Trying something without planning it, and making records of what was said. */
final readonly class TryController
{
    private const ID = ['id' => Requirement::UUID];

    public function __construct(
        private Records $records,
        private Starts $starts,
        private TryingSomething $trying,
        private TakingUp $takingUp,
    ) {
    }

    /** What a try can begin on. */
    #[Route('/api/workspaces/{id}/start', requirements: self::ID, methods: ['GET'])]
    #[Needs(Who::Reader)]
    #[Answers(StartSheet::class)]
    public function start(Uuid $id): JsonResponse
    {
        return new JsonResponse($this->starts->of($this->records->workspace($id)));
    }

    /** Begins a run from one line, with whatever is missing for it. */
    #[Route('/api/workspaces/{id}/tries', requirements: self::ID, methods: ['POST'])]
    #[Needs(Who::Writer, Takes::Json)]
    #[Answers(TriedView::class)]
    public function begin(Uuid $id, #[Body] TryInput $input): JsonResponse
    {
        $workspace = $this->records->workspace($id);
        $this->records->mustWrite($workspace);

        return new JsonResponse($this->trying->begin($workspace, $input));
    }

    /** Keeps a line about a run, and says what its numbers are read as. */
    #[Route('/api/runs/{id}/said', requirements: self::ID, methods: ['POST'])]
    #[Needs(Who::Writer, Takes::Json)]
    #[Answers(SaidView::class)]
    public function said(Uuid $id, #[Body] LineInput $input): JsonResponse
    {
        $run = $this->records->find(Run::class, $id);
        $this->records->mustWrite($run->workspace());

        return new JsonResponse($this->takingUp->said($run, $input->text));
    }

    /** Makes results and levels of what a line was read as. */
    #[Route('/api/runs/{id}/take-up', requirements: self::ID, methods: ['POST'])]
    #[Needs(Who::Writer, Takes::Json)]
    #[Answers(RunView::class)]
    public function takeUp(Uuid $id, #[Body] TakeUpInput $input): JsonResponse
    {
        $run = $this->records->find(Run::class, $id);
        $this->records->mustWrite($run->workspace());

        return new JsonResponse($this->takingUp->takeUp($run, $input));
    }

    /** What its plan did not come to is the first plan of the next time. */
    #[Route('/api/trials/{id}/rest', requirements: self::ID, methods: ['POST'])]
    #[Needs(Who::Writer, Takes::Json)]
    #[Answers(TrialView::class)]
    public function rest(Uuid $id, #[Body] RestInput $input, PlanningRest $planning): JsonResponse
    {
        $trial = $this->records->find(Trial::class, $id);
        $this->records->mustWrite($trial->workspace());

        return Answer::written($planning->plan($trial, $input));
    }

    /** Says what was tried without an article, of which nobody said it when the run began. */
    #[Route('/api/runs/{id}/tried-on', requirements: self::ID, methods: ['POST'])]
    #[Needs(Who::Writer, Takes::Json)]
    #[Answers(RunView::class)]
    public function triedOn(Uuid $id, #[Body] StateInput $input, SayingState $saying): JsonResponse
    {
        $run = $this->records->find(Run::class, $id);
        $this->records->mustWrite($run->workspace());

        return Answer::written($saying->say($run, $input));
    }
}
