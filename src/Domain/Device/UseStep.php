<?php

declare(strict_types=1);

namespace Lustrum\Domain\Device;

use Doctrine\ORM\Mapping as ORM;
use Lustrum\Record\Named;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Shared\Refusal\Invalid;
use Symfony\Component\Uid\Uuid;

/**
 * One step of using the device, from getting it ready to mending it. Methods say which of them their runs go through.
 *
 * @extends Record<UseStepInput>
 */
#[ORM\Entity]
class UseStep extends Record implements Named
{
    #[ORM\ManyToOne]
    #[ORM\JoinColumn(nullable: false)]
    private Device $device;

    #[ORM\ManyToOne]
    private ?UseCase $use = null;

    #[ORM\Column(length: 120)]
    private string $name = '';

    #[ORM\Column(length: 10)]
    private StepKind $kind = StepKind::Work;

    #[ORM\Column(length: 120)]
    private string $who = '';

    #[ORM\Column(name: 'done_where', length: 120)]
    private string $where = '';

    #[ORM\Column]
    private int $place = 0;

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        $new = new self();
        $new->device = $records->named(Device::class, $input->device, 'device');

        return $new->beginUnder($id, $new->device);
    }

    public function take(RecordInput $input, Records $records): void
    {
        $use = $records->namedOrNull(UseCase::class, $input->use, 'use');
        if ($use !== null && !$use->device()->id()->equals($this->device->id())) {
            throw Invalid::at('use', 'That use is of another device.');
        }
        $name = trim($input->name);
        $other = $records->namesake(self::class, ['device' => $this->device, 'use' => $use], $name, $this->id());
        if ($other !== null) {
            throw Invalid::at('name', sprintf('“%s” is a step already: a step that comes again is one step.', $other->name));
        }
        $this->use = $use;
        $this->name = $name;
        $this->kind = $input->kind;
        $this->who = trim($input->who);
        $this->where = trim($input->where);
        $this->place = $input->place;
    }

    public function name(): string
    {
        return $this->name;
    }

    public function view(): UseStepView
    {
        return new UseStepView(
            $this->id()->toRfc4122(), $this->version(), $this->device->id()->toRfc4122(), $this->name, $this->kind,
            $this->use?->id()->toRfc4122(), $this->who, $this->where, $this->place,
        );
    }
}
