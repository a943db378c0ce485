<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Lustrum\Core\Run\Row;
use Lustrum\Domain\Device\Device;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Shared\Instant;
use Lustrum\Shared\Refusal\Invalid;
use Symfony\Component\Uid\Uuid;

/**
 * One state of the design.
 *
 * @extends Record<RevisionInput>
 */
#[ORM\Entity]
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

    /** @var list<Arm> */
    #[ORM\Column(type: ArmsType::NAME)]
    private array $arms = [];

    #[ORM\Column(length: 40)]
    private string $chosenArm = '';

    /** Its arms stay beside each other. */
    #[ORM\Column]
    private bool $family = false;

    /** The one that is said to be the worst of them. */
    #[ORM\Column(length: 40)]
    private string $worstArm = '';

    /** @var list<Correction> oldest first */
    #[ORM\Column(type: CorrectionsType::NAME)]
    private array $corrections = [];

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        $new = new self();
        $new->device = $records->named(Device::class, $input->device, 'device');

        return $new->beginUnder($id, $new->device);
    }

    public function take(RecordInput $input, Records $records): void
    {
        $this->parent = $this->soundParent($records->namedOrNull(self::class, $input->parent, 'parent'));
        if ($input->state === RevisionState::Abandoned && trim($input->stateReason) === '') {
            throw Invalid::at('stateReason', 'Say why it is abandoned, and what would bring it back.');
        }
        $this->letter = trim($input->letter);
        $this->branch = trim($input->branch);
        $this->intent = trim($input->intent);
        $this->firmware = trim($input->firmware);
        $this->state = $input->state;
        $this->stateReason = $input->stateReason;
        $this->arms = self::soundArms($input->arms, trim($input->chosenArm));
        $this->chosenArm = trim($input->chosenArm);
        if ($input->family && count($this->arms) < 2) {
            throw Invalid::at('arms', 'A family has two members at least: with one, it is simply the build.');
        }
        if (trim($input->worstArm) !== '' && !$this->hasArm($input->worstArm)) {
            throw Invalid::at('worstArm', 'There is no such member.');
        }
        $this->family = $input->family;
        $this->worstArm = trim($input->worstArm);
    }

    /**
     * @param list<Arm> $arms
     *
     * @return list<Arm>
     */
    private static function soundArms(array $arms, string $chosen): array
    {
        $names = array_map(static fn (Arm $a): string => mb_strtolower(trim($a->name)), $arms);
        if (count(array_unique($names)) < count($names)) {
            throw Invalid::at('arms', 'Two variants cannot have the same name.');
        }
        if ($chosen !== '' && !in_array(mb_strtolower($chosen), $names, true)) {
            throw Invalid::at('chosenArm', 'There is no such variant.');
        }

        return $arms;
    }

    public function chosenArm(): string
    {
        return $this->chosenArm;
    }

    public function hasArm(string $name): bool
    {
        return $this->arm($name) !== null;
    }

    public function arm(string $name): ?Arm
    {
        foreach ($this->arms as $arm) {
            if (mb_strtolower(trim($arm->name)) === mb_strtolower(trim($name))) {
                return $arm;
            }
        }

        return null;
    }

    private function soundParent(?self $parent): ?self
    {
        for ($above = $parent; $above !== null; $above = $above->parent) {
            if ($above->id()->equals($this->id())) {
                throw Invalid::at('parent', 'A revision cannot come from itself.');
            }
        }
        if ($parent !== null && !$parent->device->id()->equals($this->device->id())) {
            throw Invalid::at('parent', 'The parent belongs to another device.');
        }

        return $parent;
    }

    /** From a device file, where a build may stand before the one that it comes from. */
    public function comesFrom(?self $parent): void
    {
        $this->parent = $this->soundParent($parent);
    }

    public function restore(array $row, Records $records): void
    {
        $this->corrections = array_map(CorrectionsType::one(...), Row::rows($row['corrections'] ?? []));
    }

    public function view(): RevisionView
    {
        return new RevisionView(
            $this->id()->toRfc4122(), $this->version(), $this->device->id()->toRfc4122(), $this->parent?->id()->toRfc4122(),
            $this->letter, $this->branch, $this->intent, $this->firmware, $this->state, $this->stateReason, $this->arms,
            $this->chosenArm, $this->family, $this->worstArm, $this->corrections,
            Instant::write($this->createdAt()),
        );
    }

    public function build(): Uuid
    {
        return $this->id();
    }

    public function corrected(Correction $correction): void
    {
        $this->corrections[] = $correction;
    }

    /** A build that was run is built, unless somebody said otherwise. */
    public function wasRun(): void
    {
        if ($this->state === RevisionState::Building) {
            $this->state = RevisionState::Built;
        }
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

    public function branch(): string
    {
        return $this->branch;
    }

    public function withFirmware(string $firmware): void
    {
        $this->firmware = trim($firmware);
    }

    /** A family that stays goes along to the builds that come from it. */
    public function keepsFamily(self $from): void
    {
        if ($from->family && $this->arms === []) {
            [$this->arms, $this->family, $this->worstArm] = [$from->arms, true, $from->worstArm];
        }
    }

    public function isFamily(): bool
    {
        return $this->family;
    }

    public function firmware(): string
    {
        return $this->firmware;
    }
}
