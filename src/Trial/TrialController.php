<?php

declare(strict_types=1);

namespace Lustrum\Trial;

use Lustrum\Http\Answers;
use Lustrum\Record\Records;
use Lustrum\Record\RecordWriter;
use Lustrum\Revision\Revision;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Uid\Uuid;

final readonly class TrialController
{
    private const ID = ['id' => Requirement::UUID];

    public function __construct(
        private Records $records,
        private RecordWriter $writer,
        private TrySheets $trySheets,
        private RunSheets $runSheets,
    ) {
    }

    /** The Try station. */
    #[Route('/api/revisions/{id}/try', requirements: self::ID, methods: ['GET'])]
    #[Answers(TrySheet::class)]
    public function try(Uuid $id): JsonResponse
    {
        return new JsonResponse($this->trySheets->of($this->records->find(Revision::class, $id)));
    }

    #[Route('/api/trials/{id}', requirements: self::ID, methods: ['PUT'])]
    #[Answers(TrialView::class)]
    public function putTrial(Uuid $id, #[MapRequestPayload] TrialInput $input): JsonResponse
    {
        return $this->writer->put(Trial::class, $id, $input);
    }

    /** The sheet of one run. */
    #[Route('/api/runs/{id}', requirements: self::ID, methods: ['GET'])]
    #[Answers(RunSheet::class)]
    public function run(Uuid $id): JsonResponse
    {
        return new JsonResponse($this->runSheets->of($this->records->find(Run::class, $id)));
    }

    #[Route('/api/runs/{id}', requirements: self::ID, methods: ['PUT'])]
    #[Answers(RunView::class)]
    public function putRun(Uuid $id, #[MapRequestPayload] RunInput $input): JsonResponse
    {
        return $this->writer->put(Run::class, $id, $input);
    }
}
