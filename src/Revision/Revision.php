<?php

declare(strict_types=1);

namespace Lustrum\Revision;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Lustrum\Device\Device;
use Lustrum\Http\Problem;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Symfony\Component\Uid\Uuid;

/**
 * One state of the design.
 *
 * @extends Record<RevisionInput>
 */
#[ORM\Entity]
#[ORM\UniqueConstraint(columns: ['device_id', 'letter'])]
class Revision extends Record
{
    #[ORM\ManyToOne]
    #[ORM\JoinColumn(nullable: false)]
    private Device $device;

    #[ORM\ManyToOne]
    private ?Revision $parent = null;

    #[ORM\Column(length: 8)]
    private string $letter = '';

    #[ORM\Column(length: 120)]
    private string $branch = '';

    #[ORM\Column(length: 300)]
    private string $intent = '';

    #[ORM\Column(length: 120)]
    private string $firmware = '';

    #[ORM\Column(length: 10)]
    private RevisionState $state = RevisionState::Building;

    #[ORM\Column(type: Types::TEXT)]
    private string $stateReason = '';

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        $new = new self();
        $new->device = $records->named(Device::class, $input->device, 'device');

        return $new->begin($id, $new->device->workspace());
    }

    public function take(RecordInput $input, Records $records): void
    {
        $parent = $records->namedOrNull(self::class, $input->parent, 'parent');
        for ($above = $parent; $above !== null; $above = $above->parent) {
            if ($above->id()->equals($this->id())) {
                throw Problem::violation('parent', 'A revision cannot come from itself.');
            }
        }
        if ($parent !== null && !$parent->device->id()->equals($this->device->id())) {
            throw Problem::violation('parent', 'The parent belongs to another device.');
        }
        if ($input->state === RevisionState::Abandoned && trim($input->stateReason) === '') {
            throw Problem::violation('stateReason', 'Say why it is abandoned, and what would bring it back.');
        }
        $this->parent = $parent;
        $this->letter = trim($input->letter);
        $this->branch = trim($input->branch);
        $this->intent = trim($input->intent);
        $this->firmware = trim($input->firmware);
        $this->state = $input->state;
        $this->stateReason = $input->stateReason;
    }

    public function view(): RevisionView
    {
        return new RevisionView($this->id()->toRfc4122(), $this->version(), $this->device->id()->toRfc4122(), $this->parent?->id()->toRfc4122(), $this->letter, $this->branch, $this->intent, $this->firmware, $this->state, $this->stateReason, $this->createdAt()->format(\DATE_ATOM));
    }

    public function device(): Device
    {
        return $this->device;
    }

    public function parent(): ?self
    {
        return $this->parent;
    }

    public function letter(): string
    {
        return $this->letter;
    }

    public function firmware(): string
    {
        return $this->firmware;
    }
}
