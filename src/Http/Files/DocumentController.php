<?php

declare(strict_types=1);

namespace Lustrum\Http\Files;

use Lustrum\Action\Files\TakingDocument;
use Lustrum\Domain\Document\Document;
use Lustrum\Domain\Document\DocumentView;
use Lustrum\Http\Answer;
use Lustrum\Http\Answers;
use Lustrum\Http\Door\Needs;
use Lustrum\Http\Door\Takes;
use Lustrum\Http\Door\Who;
use Lustrum\Record\Records;
use Lustrum\Shared\Refusal\NotThere;
use Lustrum\Storage\Documents;
use Lustrum\Storage\Files;
use Lustrum\Storage\Preview;
use Symfony\Component\HttpFoundation\HeaderUtils;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Uid\Uuid;

final readonly class DocumentController
{
    private const ID = ['id' => Requirement::UUID];
    private const FIELDS = ['revision', 'part', 'article', 'role', 'author', 'day', 'note'];

    public function __construct(
        private Records $records,
        private Files $files,
    ) {
    }

    /** Takes in a file as a form: file, revision, and optionally part, article, role, author, day and note. */
    #[Route('/api/documents/{id}', requirements: self::ID, methods: ['POST'])]
    #[Needs(Who::Writer, Takes::Form)]
    #[Answers(DocumentView::class)]
    public function post(Uuid $id, Request $request, TakingDocument $taking): JsonResponse
    {
        $file = Upload::file($request, Documents::MOST_BYTES);
        $fields = ['name' => Upload::sound('name', $file->getClientOriginalName())] + Upload::texts($request, self::FIELDS);

        return Answer::written($taking->take($id, $fields, $file->getPathname()));
    }

    /** A picture of it, made here. */
    #[Route('/api/documents/{id}/picture', requirements: self::ID, methods: ['GET'])]
    #[Needs(Who::Reader)]
    #[Answers(null)]
    public function picture(Uuid $id, Request $request): Response
    {
        $document = $this->records->find(Document::class, $id);
        if ($document->preview() !== Preview::Picture || !$this->files->has($document->sha256(), true)) {
            throw NotThere::picture();
        }

        return FileAnswer::of($request, $this->files, $document->sha256(), true, 'image/jpeg');
    }

    /** The file byte by byte, to be saved; pages are shown by the browser itself. */
    #[Route('/api/documents/{id}/file', requirements: self::ID, methods: ['GET'])]
    #[Needs(Who::Reader)]
    #[Answers(null)]
    public function file(Uuid $id, Request $request): Response
    {
        $document = $this->records->find(Document::class, $id);
        if (!$this->files->has($document->sha256())) {
            throw NotThere::picture();
        }
        $isPages = $document->preview() === Preview::Pages;
        $type = $isPages ? 'application/pdf' : 'application/octet-stream';
        $answer = FileAnswer::of($request, $this->files, $document->sha256(), false, $type);
        $plain = (string) preg_replace('/[^A-Za-z0-9._-]+/', '-', $document->name());
        $answer->headers->set('Content-Disposition', HeaderUtils::makeDisposition(
            $isPages ? HeaderUtils::DISPOSITION_INLINE : HeaderUtils::DISPOSITION_ATTACHMENT,
            str_replace(['/', '\\'], '-', $document->name()), $plain === '' ? 'file' : $plain,
        ));
        if ($isPages) {
            // A sandboxed page shows no pages; nothing of it may reach out all the same.
            $answer->headers->set('Content-Security-Policy', "default-src 'none'; style-src 'unsafe-inline'; object-src 'self'");
        }

        return $answer;
    }
}
