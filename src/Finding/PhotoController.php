<?php

declare(strict_types=1);

namespace Lustrum\Finding;

use Lustrum\Account\Access;
use Lustrum\Http\Answers;
use Lustrum\Http\Problem;
use Lustrum\Record\Limit;
use Lustrum\Record\Records;
use Lustrum\Record\RecordWriter;
use Lustrum\Record\WithdrawInput;
use Lustrum\Revision\Revision;
use Lustrum\Storage\Pictures;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\StreamedResponse;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
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
        private Security $security,
    ) {
    }

    /** Takes in a photograph as a form: file, revision, and optionally run, failure and caption. */
    #[Route('/api/photos/{id}', requirements: self::ID, methods: ['POST'])]
    #[Answers(PhotoView::class)]
    public function post(Uuid $id, Request $request): JsonResponse
    {
        $file = $request->files->get('file');
        if (!$file instanceof UploadedFile) {
            throw Problem::violation('file', 'No picture arrived. Choose one and send it again.');
        }
        if (!$file->isValid()) {
            throw Problem::of(413, 'too-large', sprintf('The picture did not arrive whole; at most %d MB can be taken.', Pictures::MOST_BYTES / 1_000_000));
        }
        $field = static fn (string $name): ?string => ($value = $request->request->getString($name)) === '' ? null : $value;
        $caption = $field('caption') ?? '';
        if (mb_strlen($caption) > Limit::LINE || !mb_check_encoding($caption, 'UTF-8') || str_contains($caption, "\0")) {
            throw Problem::violation('caption', sprintf('At most %d characters.', Limit::LINE));
        }
        // Before the picture is decoded: a stranger's or a viewer's upload should not cost anything.
        $revision = $this->records->named(Revision::class, (string) $field('revision'), 'revision');
        if (!$this->security->isGranted(Access::Write->value, $revision->workspace())) {
            throw Problem::forbidden('You may look at this workspace, but not change it. A lead can make you a member.');
        }

        return $this->writer->put(Photo::class, $id, new PhotoInput($revision->id()->toRfc4122(), $this->pictures->take($file->getPathname()), $caption, $field('run'), $field('failure')));
    }

    /** The picture itself; ?preview for a small one. */
    #[Route('/api/photos/{id}/picture', requirements: self::ID, methods: ['GET'])]
    #[Answers(null)]
    public function picture(Uuid $id, Request $request): StreamedResponse
    {
        $photo = $this->records->find(Photo::class, $id);
        if (!$this->pictures->has($photo->sha256())) {
            throw Problem::of(404, 'picture-missing', 'The record of this photo is here, but its picture is not in the file store.');
        }
        $stream = $this->pictures->open($photo->sha256(), $request->query->has('preview'));

        return new StreamedResponse(static function () use ($stream): void {
            fpassthru($stream);
        }, 200, ['Content-Type' => 'image/jpeg', 'Cache-Control' => 'private, max-age=31536000, immutable', 'X-Keep' => '1']);
    }

    #[Route('/api/photos/{id}/withdraw', requirements: self::ID, methods: ['POST'])]
    #[Answers(PhotoView::class)]
    public function withdraw(Uuid $id, #[MapRequestPayload] WithdrawInput $input): JsonResponse
    {
        return $this->writer->withdraw(Photo::class, $id, $input->because);
    }
}
