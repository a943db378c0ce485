<?php

declare(strict_types=1);

namespace Lustrum\Domain\Heap;

use Doctrine\ORM\Mapping as ORM;
use Lustrum\Core\Heap\Clock;
use Lustrum\Core\Wording\FileWords;
use Lustrum\Domain\Finding\FileState;
use Lustrum\Domain\Finding\HeldFile;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Shared\Doctrine\InstantType;
use Lustrum\Shared\Instant;
use Lustrum\Shared\Refusal\Invalid;
use Lustrum\Storage\FileKind;
use Lustrum\Storage\StoredFile;
use Symfony\Bridge\Doctrine\Types\UuidType;
use Symfony\Component\Uid\Uuid;

/**
 * Something that was filmed, photographed or spoken and dropped with others: it waits to be gone through, until it is
 * kept with a run, or put aside.
 *
 * @extends Record<HeapFileInput>
 */
#[ORM\Entity]
class HeapFile extends Record
{
    use HeldFile;

    #[ORM\Column(length: 120)]
    private string $camera = '';

    /** Of the place where it was dropped: what its camera says is read as local time there. */
    #[ORM\Column(length: 64)]
    private string $zone = 'UTC';

    /** When the device says that the file was written last: what is gone by where the file itself says nothing. */
    #[ORM\Column(type: InstantType::NAME, nullable: true)]
    private ?\DateTimeImmutable $modified = null;

    #[ORM\Column]
    private bool $aside = false;

    /** What it was kept as; the last one where it was kept with several runs. */
    #[ORM\Column(type: UuidType::NAME, nullable: true)]
    private ?Uuid $photo = null;

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        // It belongs to no device until it is kept, and so to itself.
        return (new self())->begin($id, $records->workspaceToWrite($input->workspace), $id);
    }

    public function take(RecordInput $input, Records $records): void
    {
        $this->name = trim($input->name);
        $this->camera = trim($input->camera);
        $this->zone = in_array($input->zone, \DateTimeZone::listIdentifiers(\DateTimeZone::ALL_WITH_BC), true) ? $input->zone : throw Invalid::at(
            'zone', 'This is no time zone, such as Europe/Berlin.',
        );
        $this->modified = $input->modified === null ? null : Instant::read($input->modified, 'modified');
        $this->marks = $input->marks;
        $this->aside = $input->aside;
        if (!$this->isWritten() && trim($input->lies) !== '') {
            $this->lies = trim($input->lies);
            $this->is(new StoredFile(
                '', 0, 0, $input->bytes, FileKind::ofType($input->type) ?? FileKind::Clip, $input->type, null, $input->seconds,
                $input->sha256,
            ));
        }
    }

    public function view(): HeapFileView
    {
        return new HeapFileView(
            $this->id()->toRfc4122(), $this->version(), $this->workspace()->id()->toRfc4122(), $this->name, $this->camera, $this->zone,
            $this->modified === null ? null : Instant::write($this->modified), $this->lies, $this->kind, $this->type,
            $this->state, $this->problem,
            $this->takenAt, $this->seconds, FileWords::plays($this->seconds), $this->bytes, FileWords::size($this->bytes), $this->width,
            $this->height, $this->source, $this->marks, $this->aside, $this->photo?->toRfc4122(), $this->createdBy(),
        );
    }

    /** The moment at which it began, by a clock that was set right; null: nothing says. */
    public function moment(Clock $clock): ?float
    {
        $says = $this->says();

        return $says === null ? null : $clock->truly($says);
    }

    /** The moment that its camera wrote down. */
    public function says(): ?float
    {
        if ($this->takenAt !== null) {
            return (float) (new \DateTimeImmutable($this->takenAt, new \DateTimeZone($this->zone)))->format('U.u');
        }

        // A recorder writes until its end.
        return $this->modified === null ? null : (float) $this->modified->format('U.u') - ($this->seconds ?? 0.0);
    }

    /** Can it be kept as it is? */
    public function isThere(): bool
    {
        return $this->isReady() || $this->state === FileState::Away;
    }

    public function putAside(): void
    {
        $this->aside = true;
    }

    public function keptAs(Uuid $photo): void
    {
        $this->photo = $photo;
        $this->aside = false;
    }

    /** As it is given on to what it is kept as. */
    public function stored(): StoredFile
    {
        return new StoredFile(
            $this->sha256, $this->width, $this->height, $this->bytes, $this->kind, $this->type, $this->takenAt, $this->seconds,
            $this->source,
        );
    }

    public function camera(): string
    {
        return $this->camera;
    }

    public function lies(): string
    {
        return $this->lies;
    }

    public function name(): string
    {
        return $this->name;
    }
}
