<?php

declare(strict_types=1);

namespace Lustrum\Http\Files;

use Lustrum\Action\Files\TakingIn;
use Lustrum\Domain\Finding\Photo;
use Lustrum\Domain\Finding\PhotoView;
use Lustrum\Http\Answer;
use Lustrum\Http\Answers;
use Lustrum\Http\Door\Needs;
use Lustrum\Http\Door\Takes;
use Lustrum\Http\Door\Who;
use Lustrum\Record\Records;
use Lustrum\Storage\FileKind;
use Lustrum\Storage\Files;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Uid\Uuid;

final readonly class PhotoController
{
    private const ID = ['id' => Requirement::UUID];

    public function __construct(
        private Records $records,
        private Files $files,
    ) {
    }

    /** Takes in a photograph, sound, clip or document as a form: file, revision, and optionally run, failure, reading and caption. */
    #[Route('/api/photos/{id}', requirements: self::ID, methods: ['POST'])]
    #[Needs(Who::Writer, Takes::Form)]
    #[Answers(PhotoView::class)]
    public function post(Uuid $id, Request $request, TakingIn $taking): JsonResponse
    {
        $file = Upload::file($request, FileKind::Clip->mostBytes());
        $fields = Upload::texts($request, ['revision', 'run', 'failure', 'reading', 'caption']);
        $written = $taking->take($id, $fields, $file->getPathname());
        $answer = Answer::written($written);

        // Taken, and not there yet: it waits its turn.
        return $written->view instanceof PhotoView && $written->view->sha256 === '' && $written->view->problem === '' ? $answer->setStatusCode(202) : $answer;
    }

    /** The picture itself, or the still of a clip; ?preview for a small one. */
    #[Route('/api/photos/{id}/picture', requirements: self::ID, methods: ['GET'])]
    #[Needs(Who::Reader)]
    #[Answers(null, query: ['preview'])]
    public function picture(Uuid $id, Request $request): Response
    {
        $photo = $this->records->find(Photo::class, $id);

        return FileAnswer::seen($request, $this->files, $photo->sha256(), $photo->kind());
    }

    /** The file as it is kept, whole or in part (a Range of bytes). */
    #[Route('/api/photos/{id}/file', requirements: self::ID, methods: ['GET'])]
    #[Needs(Who::Reader)]
    #[Answers(null)]
    public function file(Uuid $id, Request $request): Response
    {
        $photo = $this->records->find(Photo::class, $id);

        return FileAnswer::held($request, $this->files, $photo->sha256(), $photo->kind(), $photo->type());
    }
}
