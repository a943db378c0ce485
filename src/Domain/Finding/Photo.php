<?php

declare(strict_types=1);

namespace Lustrum\Domain\Finding;

use Doctrine\ORM\Mapping as ORM;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Domain\Trial\Run;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Shared\Instant;
use Symfony\Component\Uid\Uuid;

/**
 * A photograph: of a run, of a failure, or of the revision as such. The picture itself lies in the file store.
 *
 * @extends Record<PhotoInput>
 */
#[ORM\Entity]
class Photo extends Record
{
    #[ORM\ManyToOne]
    #[ORM\JoinColumn(nullable: false)]
    private Revision $revision;

    #[ORM\ManyToOne]
    private ?Run $run = null;

    #[ORM\ManyToOne]
    private ?Failure $failure = null;

    #[ORM\Column(length: 300)]
    private string $caption = '';

    #[ORM\Column(length: 64)]
    private string $sha256 = '';

    #[ORM\Column]
    private int $width = 0;

    #[ORM\Column]
    private int $height = 0;

    #[ORM\Column]
    private int $bytes = 0;

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        $new = new self();
        $new->revision = $records->named(Revision::class, $input->revision, 'revision');
        $picture = $input->picture;
        $new->sha256 = $picture->sha256;
        $new->width = $picture->width;
        $new->height = $picture->height;
        $new->bytes = $picture->bytes;

        return $new->beginUnder($id, $new->revision);
    }

    public function take(RecordInput $input, Records $records): void
    {
        $this->run = $records->namedOrNull(Run::class, $input->run, 'run');
        $this->failure = $records->namedOrNull(Failure::class, $input->failure, 'failure');
        $this->caption = trim($input->caption);
    }

    public function build(): Uuid
    {
        return $this->revision->id();
    }

    public function view(): PhotoView
    {
        return new PhotoView($this->id()->toRfc4122(), $this->version(), $this->revision->id()->toRfc4122(), $this->run?->id()->toRfc4122(), $this->failure?->id()->toRfc4122(), $this->caption, $this->width, $this->height, $this->bytes, $this->sha256, $this->createdBy(), Instant::write($this->createdAt()));
    }

    public function sha256(): string
    {
        return $this->sha256;
    }
}
