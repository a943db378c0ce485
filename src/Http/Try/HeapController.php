<?php

declare(strict_types=1);

namespace Lustrum\Http\Try;

use Lustrum\Action\Files\GoingThrough;
use Lustrum\Action\Files\TakingHeap;
use Lustrum\Domain\Finding\PhotoView;
use Lustrum\Domain\Heap\AsideInput;
use Lustrum\Domain\Heap\CameraView;
use Lustrum\Domain\Heap\ClockInput;
use Lustrum\Domain\Heap\HeapFile;
use Lustrum\Domain\Heap\HeapFileView;
use Lustrum\Domain\Heap\KeepInput;
use Lustrum\Domain\Heap\KnownInput;
use Lustrum\Facts\HeapFacts;
use Lustrum\Http\Answer;
use Lustrum\Http\Answers;
use Lustrum\Http\Body;
use Lustrum\Http\Door\Needs;
use Lustrum\Http\Door\Takes;
use Lustrum\Http\Door\Who;
use Lustrum\Http\Files\FileAnswer;
use Lustrum\Http\Files\Upload;
use Lustrum\Record\Records;
use Lustrum\Sheet\Heap\HeapSheet;
use Lustrum\Sheet\Heap\HeapSheets;
use Lustrum\Storage\FileKind;
use Lustrum\Storage\Files;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Uid\Uuid;

/** The heap of what was filmed, photographed or spoken. */
final readonly class HeapController
{
    private const ID = ['id' => Requirement::UUID];

    public function __construct(
        private Records $records,
        private Files $files,
        private GoingThrough $going,
    ) {
    }

    /** What is not gone through yet, laid against the runs. */
    #[Route('/api/workspaces/{id}/heap', requirements: self::ID, methods: ['GET'])]
    #[Needs(Who::Reader)]
    #[Answers(HeapSheet::class)]
    public function sheet(Uuid $id, HeapSheets $sheets): JsonResponse
    {
        return new JsonResponse($sheets->of($this->records->workspace($id)));
    }

    /** Which files are here already, by their SHA-256, so that nothing is sent twice. */
    #[Route('/api/workspaces/{id}/heap/known', requirements: self::ID, methods: ['POST'])]
    #[Needs(Who::Writer, Takes::Json)]
    #[Answers(KnownFiles::class)]
    public function known(Uuid $id, #[Body] KnownInput $input, HeapFacts $facts): JsonResponse
    {
        $workspace = $this->records->workspace($id);
        $this->records->mustWrite($workspace);
        $known = $facts->known($workspace->id()->toRfc4122(), $input->sha256);

        return Answer::of(new KnownFiles(array_map(
            static fn (string $sha256, string $where): KnownFile => new KnownFile($sha256, $where),
            array_map(strval(...), array_keys($known)), array_values($known),
        )));
    }

    /** Puts aside all that is left, or what is named. */
    #[Route('/api/workspaces/{id}/heap/aside', requirements: self::ID, methods: ['POST'])]
    #[Needs(Who::Writer, Takes::Json)]
    #[Answers(PutAside::class)]
    public function aside(Uuid $id, #[Body] AsideInput $input): JsonResponse
    {
        return Answer::of(new PutAside($this->going->putAside($this->records->workspace($id), $input->files)), ['heap', 'try']);
    }

    /** Takes in one file of a heap as a form: file, workspace, name, and optionally camera, zone and modified. */
    #[Route('/api/heapfiles/{id}', requirements: self::ID, methods: ['POST'])]
    #[Needs(Who::Writer, Takes::Form)]
    #[Answers(HeapFileView::class)]
    public function post(Uuid $id, Request $request, TakingHeap $taking): JsonResponse
    {
        $file = Upload::file($request, FileKind::Clip->mostBytes());
        $fields = Upload::texts($request, ['workspace', 'name', 'camera', 'zone', 'modified']);

        return Answer::written($taking->take($id, $fields, $file->getPathname()));
    }

    /** Keeps a file with a run. */
    #[Route('/api/heapfiles/{id}/keep', requirements: self::ID, methods: ['POST'])]
    #[Needs(Who::Writer, Takes::Json)]
    #[Answers(PhotoView::class)]
    public function keep(Uuid $id, #[Body] KeepInput $input): JsonResponse
    {
        return Answer::written($this->going->keep($id, $input));
    }

    /** Sets the clock of its camera right, for all that the camera took. */
    #[Route('/api/heapfiles/{id}/clock', requirements: self::ID, methods: ['POST'])]
    #[Needs(Who::Writer, Takes::Json)]
    #[Answers(CameraView::class)]
    public function clock(Uuid $id, #[Body] ClockInput $input): JsonResponse
    {
        return Answer::written($this->going->setClock($id, $input));
    }

    /** The picture itself, or the still of a clip; ?preview for a small one. */
    #[Route('/api/heapfiles/{id}/picture', requirements: self::ID, methods: ['GET'])]
    #[Needs(Who::Reader)]
    #[Answers(null, query: ['preview'])]
    public function picture(Uuid $id, Request $request): Response
    {
        $file = $this->records->find(HeapFile::class, $id);

        return FileAnswer::seen($request, $this->files, $file->sha256(), $file->kind());
    }

    /** The file as it is kept, whole or in part (a Range of bytes). */
    #[Route('/api/heapfiles/{id}/file', requirements: self::ID, methods: ['GET'])]
    #[Needs(Who::Reader)]
    #[Answers(null)]
    public function file(Uuid $id, Request $request): Response
    {
        $file = $this->records->find(HeapFile::class, $id);

        return FileAnswer::held($request, $this->files, $file->sha256(), $file->kind(), $file->type());
    }
}
