<?php

declare(strict_types=1);

namespace Lustrum\Http\Files;

use Lustrum\Domain\Finding\Photo;
use Lustrum\Domain\Finding\PhotoInput;
use Lustrum\Domain\Finding\PhotoView;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Http\Answer;
use Lustrum\Http\Answers;
use Lustrum\Http\Cached;
use Lustrum\Record\Inputs;
use Lustrum\Record\Records;
use Lustrum\Record\RecordWriter;
use Lustrum\Shared\Refusal\Invalid;
use Lustrum\Shared\Refusal\NotThere;
use Lustrum\Shared\Refusal\TooLarge;
use Lustrum\Storage\Pictures;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Routing\Requirement\Requirement;
use Symfony\Component\Uid\Uuid;

final readonly class PhotoController
{
    private const ID = ['id' => Requirement::UUID];

    public function __construct(
        private Records $records,
        private RecordWriter $writer,
        private Pictures $pictures,
        private Inputs $inputs,
    ) {
    }

    /** Takes in a photograph as a form: file, revision, and optionally run, failure and caption. */
    #[Route('/api/photos/{id}', requirements: self::ID, methods: ['POST'])]
    #[Answers(PhotoView::class)]
    public function post(Uuid $id, Request $request): JsonResponse
    {
        $file = $request->files->get('file');
        if (!$file instanceof UploadedFile) {
            throw Invalid::at('file', 'No picture arrived. Choose one and send it again.');
        }
        if (!$file->isValid()) {
            throw TooLarge::cutOff(Pictures::MOST_BYTES);
        }
        $fields = [];
        foreach (['revision', 'run', 'failure', 'caption'] as $name) {
            $value = $request->request->get($name, '');
            if (!is_string($value) || !mb_check_encoding($value, 'UTF-8') || str_contains($value, "\0")) {
                throw Invalid::at($name, 'This text cannot be stored.');
            }
            $fields[$name] = $value === '' ? null : $value;
        }
        // Before the picture is decoded: a stranger's or a viewer's upload should not cost anything.
        $revision = $this->records->named(Revision::class, (string) $fields['revision'], 'revision');
        $this->records->mustWrite($revision->workspace());
        $picture = $this->pictures->take($file->getPathname());
        $input = $this->inputs->read(PhotoInput::class, ['picture' => get_object_vars($picture), 'caption' => $fields['caption'] ?? ''] + $fields);

        return Answer::written($this->writer->put(Photo::class, $id, $input));
    }

    /** The picture itself; ?preview for a small one. */
    #[Route('/api/photos/{id}/picture', requirements: self::ID, methods: ['GET'])]
    #[Answers(null, query: ['preview'])]
    public function picture(Uuid $id, Request $request): StreamedResponse
    {
        $photo = $this->records->find(Photo::class, $id);
        if (!$this->pictures->has($photo->sha256())) {
            throw NotThere::picture();
        }
        $stream = $this->pictures->open($photo->sha256(), $request->query->has('preview'));

        return new StreamedResponse(static function () use ($stream): void {
            fpassthru($stream);
        }, 200, ['Content-Type' => 'image/jpeg', 'Cache-Control' => 'private, max-age=31536000, immutable', Cached::HEADER => '1']);
    }
}
