<?php

declare(strict_types=1);

namespace Lustrum\Finding;

use Lustrum\Http\Answers;
use Lustrum\Record\Records;
use Lustrum\Record\RecordWriter;
use Lustrum\Record\WithdrawInput;
use Lustrum\Revision\Revision;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Uid\Uuid;

final readonly class FindingController
{
    private const ID = ['id' => Requirement::UUID];

    public function __construct(
        private Records $records,
        private RecordWriter $writer,
        private FindSheets $sheets,
    ) {
    }

    /** The Find station. */
    #[Route('/api/revisions/{id}/find', requirements: self::ID, methods: ['GET'])]
    #[Answers(FindSheet::class)]
    public function find(Uuid $id): JsonResponse
    {
        return new JsonResponse($this->sheets->of($this->records->find(Revision::class, $id)));
    }

    #[Route('/api/failures/{id}', requirements: self::ID, methods: ['PUT'])]
    #[Answers(FailureView::class)]
    public function putFailure(Uuid $id, #[MapRequestPayload] FailureInput $input): JsonResponse
    {
        return $this->writer->put(Failure::class, $id, $input);
    }

    #[Route('/api/failures/{id}/withdraw', requirements: self::ID, methods: ['POST'])]
    #[Answers(FailureView::class)]
    public function withdrawFailure(Uuid $id, #[MapRequestPayload] WithdrawInput $input): JsonResponse
    {
        return $this->writer->withdraw(Failure::class, $id, $input->because);
    }

    #[Route('/api/causes/{id}', requirements: self::ID, methods: ['PUT'])]
    #[Answers(CauseView::class)]
    public function putCause(Uuid $id, #[MapRequestPayload] CauseInput $input): JsonResponse
    {
        return $this->writer->put(Cause::class, $id, $input);
    }

    #[Route('/api/observations/{id}', requirements: self::ID, methods: ['PUT'])]
    #[Answers(ObservationView::class)]
    public function putObservation(Uuid $id, #[MapRequestPayload] ObservationInput $input): JsonResponse
    {
        return $this->writer->put(Observation::class, $id, $input);
    }
}
