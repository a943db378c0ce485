<?php

declare(strict_types=1);

namespace Lustrum\Http\Record;

use Lustrum\Action\Build\Changing;
use Lustrum\Action\Build\Gathering;
use Lustrum\Action\Build\StepsTaken;
use Lustrum\Domain\Revision\Article;
use Lustrum\Domain\Revision\ArticleView;
use Lustrum\Domain\Revision\GatherInput;
use Lustrum\Domain\Revision\RevisionView;
use Lustrum\Domain\Revision\StepView;
use Lustrum\Http\Answers;
use Lustrum\Http\Body;
use Lustrum\Http\Door\Needs;
use Lustrum\Http\Door\Takes;
use Lustrum\Http\Door\Who;
use Lustrum\Record\Records;
use Lustrum\Shared\LineInput;
use Lustrum\Shared\Refusal\Invalid;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Uid\Uuid;

final readonly class GatherController
{
    public function __construct(
        private Records $records,
        private Gathering $gathering,
        private Changing $changing,
        private StepsTaken $steps,
    ) {
    }

    /** Takes one line about what was changed on an article between two runs. */
    #[Route('/api/articles/{id}/changed', requirements: ['id' => Requirement::UUID], methods: ['POST'])]
    #[Needs(Who::Writer, Takes::Json)]
    #[Answers(ArticleView::class)]
    public function changed(Uuid $id, #[Body] LineInput $input): JsonResponse
    {
        $article = $this->records->find(Article::class, $id);
        $this->records->mustWrite($article->workspace());

        return new JsonResponse($this->changing->changed($article, $input->text));
    }

    /** What was changed on an article between its runs, step by step: after which of them a build of its own can begin. */
    #[Route('/api/articles/{id}/steps', requirements: ['id' => Requirement::UUID], methods: ['GET'])]
    #[Needs(Who::Reader)]
    #[Answers(StepView::class, list: true)]
    public function steps(Uuid $id): JsonResponse
    {
        return new JsonResponse($this->steps->of($this->records->find(Article::class, $id))->views());
    }

    /** Gathers what was changed on an article between runs into a build of its own; the runs made with it go along. */
    #[Route('/api/articles/{id}/gather', requirements: ['id' => Requirement::UUID], methods: ['POST'])]
    #[Needs(Who::Writer, Takes::Json)]
    #[Answers(RevisionView::class)]
    public function gather(Uuid $id, #[Body] GatherInput $input): JsonResponse
    {
        $article = $this->records->find(Article::class, $id);
        $this->records->mustWrite($article->workspace());
        if (!Uuid::isValid($input->id)) {
            throw Invalid::at('id', 'The build that is made needs an identifier.');
        }

        return new JsonResponse($this->gathering->gather($article, Uuid::fromString($input->id), $input->step, $input->answers));
    }
}
