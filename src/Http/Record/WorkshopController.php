<?php

declare(strict_types=1);

namespace Lustrum\Http\Record;

use Lustrum\Action\Build\Finishing;
use Lustrum\Action\Build\PartsCsv;
use Lustrum\Action\Build\Pasting;
use Lustrum\Action\Build\StartingFrom;
use Lustrum\Domain\Device\DeviceView;
use Lustrum\Domain\Revision\Article;
use Lustrum\Domain\Revision\GatherInput;
use Lustrum\Domain\Revision\PartsPasted;
use Lustrum\Domain\Revision\PasteInput;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Domain\Revision\StartFromInput;
use Lustrum\Domain\Trial\RunView;
use Lustrum\Http\Answers;
use Lustrum\Http\Body;
use Lustrum\Http\Door\Needs;
use Lustrum\Http\Door\Takes;
use Lustrum\Http\Door\Who;
use Lustrum\Record\Records;
use Lustrum\Shared\Refusal\Invalid;
use Symfony\Component\HttpFoundation\HeaderUtils;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Uid\Uuid;

/** What is done to a build as a whole: its parts list in and out, an article that is made, a device that begins with it. */
final readonly class WorkshopController
{
    private const ID = ['id' => Requirement::UUID];

    public function __construct(
        private Records $records,
    ) {
    }

    /** Takes over a parts list out of a spreadsheet, or says what would come of it. */
    #[Route('/api/revisions/{id}/paste', requirements: self::ID, methods: ['POST'])]
    #[Needs(Who::Writer, Takes::Json)]
    #[Answers(PartsPasted::class)]
    public function paste(Uuid $id, #[Body] PasteInput $input, Pasting $pasting): JsonResponse
    {
        $build = $this->records->find(Revision::class, $id);
        $this->records->mustWrite($build->workspace());

        return new JsonResponse($pasting->paste($build, $input));
    }

    /** The parts list as CSV. */
    #[Route('/api/revisions/{id}/parts.csv', requirements: self::ID, methods: ['GET'])]
    #[Needs(Who::Reader)]
    #[Answers(null)]
    public function csv(Uuid $id, PartsCsv $csv): Response
    {
        $build = $this->records->find(Revision::class, $id);
        $name = trim((string) preg_replace('/[^\w-]+/u', '-', $build->device()->name().'-'.$build->letter()), '-');

        return new Response($csv->of($build), 200, [
            'Content-Type' => 'text/csv; charset=utf-8',
            'Content-Disposition' => HeaderUtils::makeDisposition(HeaderUtils::DISPOSITION_ATTACHMENT, $name.'-parts.csv', 'parts.csv'),
        ]);
    }

    /** An article is made: what was logged of it becomes a run. */
    #[Route('/api/articles/{id}/made', requirements: self::ID, methods: ['POST'])]
    #[Needs(Who::Writer, Takes::Json)]
    #[Answers(RunView::class)]
    public function made(Uuid $id, #[Body] GatherInput $input, Finishing $finishing): JsonResponse
    {
        $article = $this->records->find(Article::class, $id);
        $this->records->mustWrite($article->workspace());
        if (!Uuid::isValid($input->id)) {
            throw Invalid::at('id', 'The run that is made needs an identifier.');
        }

        return new JsonResponse($finishing->finish($article, Uuid::fromString($input->id)));
    }

    /** Begins a device with somebody else's design, or with a build of another device. */
    #[Route('/api/workspaces/{id}/devices-from', requirements: self::ID, methods: ['POST'])]
    #[Needs(Who::Writer, Takes::Json)]
    #[Answers(DeviceView::class)]
    public function from(Uuid $id, #[Body] StartFromInput $input, StartingFrom $starting): JsonResponse
    {
        $workspace = $this->records->workspace($id);
        $this->records->mustWrite($workspace);

        return new JsonResponse($starting->begin($workspace, $input));
    }
}
