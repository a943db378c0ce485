<?php

declare(strict_types=1);

namespace Lustrum\Decision;

use Lustrum\Http\Answers;
use Lustrum\Http\Problem;
use Lustrum\Record\Records;
use Lustrum\Record\RecordWriter;
use Lustrum\Record\WithdrawInput;
use Lustrum\Revision\Revision;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Uid\Uuid;

final readonly class DecisionController
{
    private const ID = ['id' => Requirement::UUID];

    public function __construct(
        private Records $records,
        private RecordWriter $writer,
        private NextSheets $sheets,
        private Deciding $deciding,
    ) {
    }

    /** The Next station. */
    #[Route('/api/revisions/{id}/next', requirements: self::ID, methods: ['GET'])]
    #[Answers(NextSheet::class)]
    public function next(Uuid $id): JsonResponse
    {
        return new JsonResponse($this->sheets->of($this->records->find(Revision::class, $id)));
    }

    #[Route('/api/candidates/{id}', requirements: self::ID, methods: ['PUT'])]
    #[Answers(CandidateView::class)]
    public function putCandidate(Uuid $id, #[MapRequestPayload] CandidateInput $input): JsonResponse
    {
        return $this->writer->put(Candidate::class, $id, $input);
    }

    #[Route('/api/candidates/{id}/withdraw', requirements: self::ID, methods: ['POST'])]
    #[Answers(CandidateView::class)]
    public function withdrawCandidate(Uuid $id, #[MapRequestPayload] WithdrawInput $input): JsonResponse
    {
        return $this->writer->withdraw(Candidate::class, $id, $input->because);
    }

    /** The decision record, as one page. */
    #[Route('/api/decisions/{id}', requirements: self::ID, methods: ['GET'])]
    #[Answers(DecisionView::class)]
    public function decision(Uuid $id): JsonResponse
    {
        return new JsonResponse($this->records->find(Decision::class, $id)->view());
    }

    /** Decides: opens the next revision. Sent twice, it is one decision. */
    #[Route('/api/decisions/{id}', requirements: self::ID, methods: ['PUT'])]
    #[Answers(DecisionView::class)]
    public function decide(Uuid $id, #[MapRequestPayload] DecisionInput $input): JsonResponse
    {
        $known = $this->records->manager()->find(Decision::class, $id);
        if ($known !== null) {
            $view = $this->records->find(Decision::class, $id)->view();

            return $view->next === $input->next && $view->nextLetter === trim($input->letter) ? new JsonResponse($view) : throw Problem::conflict($view);
        }

        return new JsonResponse($this->deciding->decide($id, $input)->view(), 201);
    }
}
