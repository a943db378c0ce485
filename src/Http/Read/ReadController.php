<?php

declare(strict_types=1);

namespace Lustrum\Http\Read;

use Lustrum\Action\Read\AmendReading;
use Lustrum\Action\Read\AmendTogether;
use Lustrum\Action\Read\ReadingCheck;
use Lustrum\Action\Read\ReadingPreview;
use Lustrum\Action\Read\Together;
use Lustrum\Action\Run\EmptyRuns;
use Lustrum\Action\Run\FailuresAlong;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Domain\Trial\AmendOutcomeInput;
use Lustrum\Domain\Trial\AmendReadingInput;
use Lustrum\Domain\Trial\Reading;
use Lustrum\Domain\Trial\ReadingInput;
use Lustrum\Domain\Trial\ReadingView;
use Lustrum\Domain\Trial\Run;
use Lustrum\Domain\Trial\RunView;
use Lustrum\Domain\Trial\TogetherInput;
use Lustrum\Http\Answer;
use Lustrum\Http\Answers;
use Lustrum\Http\Body;
use Lustrum\Http\Door\Needs;
use Lustrum\Http\Door\Takes;
use Lustrum\Http\Door\Who;
use Lustrum\Record\Records;
use Lustrum\Record\RecordWriter;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Uid\Uuid;

final readonly class ReadController
{
    private const ID = ['id' => Requirement::UUID];

    public function __construct(
        private Records $records,
        private RecordWriter $writer,
        private ReadingCheck $check,
        private AmendReading $amend,
        private AmendTogether $together,
        private EmptyRuns $empties,
    ) {
    }

    /** How a typed reading would be kept; nothing is stored. */
    #[Route('/api/readings/preview', methods: ['POST'], priority: 1)]
    #[Needs(Who::Writer, Takes::Json)]
    #[Answers(ReadingPreview::class)]
    public function preview(#[Body] ReadingInput $input): JsonResponse
    {
        $run = $this->records->named(Run::class, $input->run, 'run');
        $this->records->mustWrite($run->workspace());
        $channel = Reading::channelOf($run, $input->channel);
        $typed = Reading::typed($input, $channel, $this->records);

        return new JsonResponse(ReadingPreview::of($typed, $channel, $this->check->questions($run, $channel, $typed)));
    }

    /** Amends several readings of a build in the same way, or shows what would come of it. */
    #[Route('/api/revisions/{id}/readings/together', requirements: self::ID, methods: ['POST'])]
    #[Needs(Who::Writer, Takes::Json)]
    #[Answers(Together::class)]
    public function together(Uuid $id, #[Body] TogetherInput $input): JsonResponse
    {
        $revision = $this->records->find(Revision::class, $id);
        $this->records->mustWrite($revision->workspace());

        return new JsonResponse($this->together->amend($revision, $input));
    }

    /** Amends a reading; the first value stays beside it. */
    #[Route('/api/readings/{id}/amend', requirements: self::ID, methods: ['POST'])]
    #[Needs(Who::Writer, Takes::Json)]
    #[Answers(ReadingView::class)]
    public function amend(Uuid $id, #[Body] AmendReadingInput $input): JsonResponse
    {
        return Answer::written($this->amend->amend($id, $input));
    }

    /** Amends the outcome of a run; the first one stays beside it. */
    #[Route('/api/runs/{id}/amend', requirements: self::ID, methods: ['POST'])]
    #[Needs(Who::Writer, Takes::Json)]
    #[Answers(RunView::class)]
    public function amendOutcome(Uuid $id, #[Body] AmendOutcomeInput $input): JsonResponse
    {
        return Answer::written($this->writer->amend(Run::class, $id, $input->version, function (Run $run, string $by) use ($input): void {
            $run->amendOutcome($input->outcome, $input->reason, $by);
            $this->empties->changed($run);
        }, static fn (Run $run): array => FailuresAlong::with($run, $input->failures)));
    }
}
