<?php

declare(strict_types=1);

namespace Lustrum\Domain\Device;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Lustrum\Core\Run\Amount;
use Lustrum\Record\Named;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Shared\AmountInput;
use Lustrum\Shared\Doctrine\AmountsType;
use Lustrum\Shared\Refusal\Invalid;
use Symfony\Component\Uid\Uuid;

/**
 * One of the things that a device is used for; its requirements are judged for themselves, and it may be dropped while the
 * device goes on.
 *
 * @extends Record<UseCaseInput>
 */
#[ORM\Entity]
class UseCase extends Record implements Named
{
    #[ORM\ManyToOne]
    #[ORM\JoinColumn(nullable: false)]
    private Device $device;

    #[ORM\Column(length: 120)]
    private string $name = '';

    #[ORM\Column(length: 300)]
    private string $who = '';

    #[ORM\Column(name: 'used_where', length: 300)]
    private string $where = '';

    /** @var list<Amount> what the device bears in it, so that a rehearsal can be held against it */
    #[ORM\Column(type: AmountsType::NAME)]
    private array $loads = [];

    /** Why it was given up; empty: it goes on. */
    #[ORM\Column(type: Types::TEXT)]
    private string $dropped = '';

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        $new = new self();
        $new->device = $records->named(Device::class, $input->device, 'device');

        return $new->beginUnder($id, $new->device);
    }

    public function take(RecordInput $input, Records $records): void
    {
        $name = trim($input->name);
        $other = $records->namesake(self::class, ['device' => $this->device], $name, $this->id());
        if ($other !== null) {
            throw Invalid::at('name', sprintf('There is a use “%s” already.', $other->name));
        }
        $this->name = $name;
        $this->who = trim($input->who);
        $this->where = trim($input->where);
        $this->dropped = trim($input->dropped);
        $this->loads = AmountInput::amounts($input->loads, 'loads');
    }

    public function view(): UseCaseView
    {
        return new UseCaseView(
            $this->id()->toRfc4122(), $this->version(), $this->device->id()->toRfc4122(), $this->name, $this->who, $this->where,
            $this->dropped, $this->loads,
        );
    }

    /** @return list<Amount> */
    public function loads(): array
    {
        return $this->loads;
    }

    public function device(): Device
    {
        return $this->device;
    }

    public function name(): string
    {
        return $this->name;
    }

    public function isDropped(): bool
    {
        return $this->dropped !== '';
    }
}
