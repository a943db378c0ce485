<?php

declare(strict_types=1);

namespace Lustrum\Domain\Finding;

use Doctrine\ORM\Mapping as ORM;
use Lustrum\Core\Run\Row;
use Lustrum\Core\Wording\FileWords;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Domain\Trial\Reading;
use Lustrum\Domain\Trial\Run;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Shared\Instant;
use Lustrum\Shared\Refusal\Invalid;
use Symfony\Component\Uid\Uuid;

/**
 * A photograph, or a sound, a clip or a document in its place: of a run, of a failure, or of the revision as such. The
 * file itself lies in the store; what takes long to prepare waits its turn, and the record says so.
 *
 * @extends Record<PhotoInput>
 */
#[ORM\Entity]
class Photo extends Record
{
    use HeldFile;

    #[ORM\ManyToOne]
    #[ORM\JoinColumn(nullable: false)]
    private Revision $revision;

    #[ORM\ManyToOne]
    private ?Run $run = null;

    #[ORM\ManyToOne]
    private ?Failure $failure = null;

    /** It shows the display that this was read off. */
    #[ORM\ManyToOne]
    private ?Reading $reading = null;

    #[ORM\Column(length: 300)]
    private string $caption = '';

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        $new = new self();
        $new->revision = $records->named(Revision::class, $input->revision, 'revision');
        [$new->lies, $new->name] = [trim($input->lies), trim($input->name)];
        $new->is($input->picture);

        return $new->beginUnder($id, $new->revision);
    }

    public function take(RecordInput $input, Records $records): void
    {
        $this->run = $records->namedOrNull(Run::class, $input->run, 'run');
        $this->failure = $records->namedOrNull(Failure::class, $input->failure, 'failure');
        $this->reading = $records->namedOrNull(Reading::class, $input->reading, 'reading');
        if ($this->reading !== null && !$this->reading->run()->id()->equals($this->run?->id() ?? $this->id())) {
            throw Invalid::at('reading', 'That was read on another run.');
        }
        $this->caption = trim($input->caption);
        $this->marks = $input->marks;
    }

    public function restore(array $row, Records $records): void
    {
        if ($this->isWaiting() && $this->source === '') {
            $why = Row::text($row['problem'] ?? '');
            $this->isBroken($why !== '' ? $why : 'This file was not prepared yet when the device file was written.');
        }
    }

    /** The run that it was seen on is another build's. */
    public function goesTo(Revision $revision): void
    {
        $this->revision = $revision;
    }

    public function build(): Uuid
    {
        return $this->revision->id();
    }

    public function view(): PhotoView
    {
        return new PhotoView(
            $this->id()->toRfc4122(), $this->version(), $this->revision->id()->toRfc4122(), $this->run?->id()->toRfc4122(),
            $this->failure?->id()->toRfc4122(),
            $this->caption, $this->kind, $this->type, $this->state, $this->problem, $this->takenAt, $this->seconds,
            FileWords::plays($this->seconds),
            $this->width, $this->height, $this->bytes, $this->lies === '' ? $this->sha256 : $this->source, $this->createdBy(),
            Instant::write($this->createdAt()),
            $this->name, $this->lies, $this->marks, $this->reading?->id()->toRfc4122(),
        );
    }

    /** Is this the same file, in the same place, under the same words? */
    public function isTheSame(string $source, PhotoInput $input): bool
    {
        return $this->source === $source && $this->caption === trim($input->caption) && $this->revision->id()->toRfc4122() === $input->revision
            && $this->run?->id()->toRfc4122() === $input->run && $this->failure?->id()->toRfc4122() === $input->failure
            && $this->reading?->id()->toRfc4122() === $input->reading;
    }
}
