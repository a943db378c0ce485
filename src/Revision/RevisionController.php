<?php

declare(strict_types=1);

namespace Lustrum\Revision;

use Lustrum\Http\Answers;
use Lustrum\Record\Records;
use Lustrum\Record\RecordWriter;
use Lustrum\Record\WithdrawInput;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Uid\Uuid;

final readonly class RevisionController
{
    private const ID = ['id' => Requirement::UUID];

    public function __construct(
        private Records $records,
        private RecordWriter $writer,
        private BuildSheets $sheets,
    ) {
    }

    /** The Build station. */
    #[Route('/api/revisions/{id}/build', requirements: self::ID, methods: ['GET'])]
    #[Answers(BuildSheet::class)]
    public function build(Uuid $id): JsonResponse
    {
        return new JsonResponse($this->sheets->of($this->records->find(Revision::class, $id)));
    }

    #[Route('/api/revisions/{id}', requirements: self::ID, methods: ['PUT'])]
    #[Answers(RevisionView::class)]
    public function putRevision(Uuid $id, #[MapRequestPayload] RevisionInput $input): JsonResponse
    {
        return $this->writer->put(Revision::class, $id, $input);
    }

    #[Route('/api/changes/{id}', requirements: self::ID, methods: ['PUT'])]
    #[Answers(ChangeView::class)]
    public function putChange(Uuid $id, #[MapRequestPayload] ChangeInput $input): JsonResponse
    {
        return $this->writer->put(Change::class, $id, $input);
    }

    #[Route('/api/changes/{id}/withdraw', requirements: self::ID, methods: ['POST'])]
    #[Answers(ChangeView::class)]
    public function withdrawChange(Uuid $id, #[MapRequestPayload] WithdrawInput $input): JsonResponse
    {
        return $this->writer->withdraw(Change::class, $id, $input->because);
    }

    #[Route('/api/parameters/{id}', requirements: self::ID, methods: ['PUT'])]
    #[Answers(ParameterView::class)]
    public function putParameter(Uuid $id, #[MapRequestPayload] ParameterInput $input): JsonResponse
    {
        return $this->writer->put(Parameter::class, $id, $input);
    }

    #[Route('/api/parts/{id}', requirements: self::ID, methods: ['PUT'])]
    #[Answers(PartView::class)]
    public function putPart(Uuid $id, #[MapRequestPayload] PartInput $input): JsonResponse
    {
        return $this->writer->put(Part::class, $id, $input);
    }

    #[Route('/api/parts/{id}/withdraw', requirements: self::ID, methods: ['POST'])]
    #[Answers(PartView::class)]
    public function withdrawPart(Uuid $id, #[MapRequestPayload] WithdrawInput $input): JsonResponse
    {
        return $this->writer->withdraw(Part::class, $id, $input->because);
    }

    #[Route('/api/articles/{id}', requirements: self::ID, methods: ['PUT'])]
    #[Answers(ArticleView::class)]
    public function putArticle(Uuid $id, #[MapRequestPayload] ArticleInput $input): JsonResponse
    {
        return $this->writer->put(Article::class, $id, $input);
    }
}
