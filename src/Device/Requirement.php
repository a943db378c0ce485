<?php

declare(strict_types=1);

namespace Lustrum\Device;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Lustrum\Core\Evidence\Direction;
use Lustrum\Core\Evidence\Kind;
use Lustrum\Core\Evidence\Requirement as Rule;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Http\Problem;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Symfony\Component\Uid\Uuid;

/**
 * Something that the device must or should do: a metric, a limit, and how it counts as shown.
 *
 * @extends Record<RequirementInput>
 */
#[ORM\Entity]
class Requirement extends Record
{
    #[ORM\ManyToOne]
    #[ORM\JoinColumn(nullable: false)]
    private Device $device;

    #[ORM\Column(length: 300)]
    private string $statement = '';

    #[ORM\Column(length: 120)]
    private string $metric = '';

    #[ORM\Column(length: 40)]
    private string $unit = '';

    #[ORM\Column(name: 'limit_value')]
    private float $limit = 0.0;

    #[ORM\Column(length: 10)]
    private Direction $direction = Direction::AtLeast;

    #[ORM\Column(length: 10)]
    private Kind $kind = Kind::Mean;

    #[ORM\Column]
    private float $coverage = 0.9;

    #[ORM\Column]
    private bool $must = true;

    /** @var list<string> */
    #[ORM\Column(type: Types::JSON)]
    private array $conditions = [];

    /** @var list<string> */
    #[ORM\Column(type: Types::JSON)]
    private array $dependsOn = [];

    #[ORM\Column]
    private int $place = 0;

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        $new = new self();
        $new->device = $records->named(Device::class, $input->device, 'device');

        return $new->begin($id, $new->device->workspace());
    }

    public function take(RecordInput $input, Records $records): void
    {
        if (trim($input->unit) === '' && !in_array($input->kind, [Kind::Check, Kind::Rate], true)) {
            throw Problem::violation('unit', 'A limit needs its unit. For a plain number write “count” or “%”.');
        }
        $this->statement = trim($input->statement);
        $this->metric = trim($input->metric);
        $this->unit = trim($input->unit);
        $this->limit = $input->limit;
        $this->direction = $input->direction;
        $this->kind = $input->kind;
        $this->coverage = $input->coverage;
        $this->must = $input->must;
        $this->conditions = $input->conditions;
        $this->dependsOn = $input->dependsOn;
        $this->place = $input->place;
        $this->rule(0.95);
    }

    /** The rule that the core assesses, the limit in the requirement's own unit; a rate's in shares. */
    public function rule(float $confidence): Rule
    {
        $limit = $this->kind === Kind::Rate ? ($this->unit === '%' ? $this->limit / 100 : $this->limit) : $this->limit;

        return Rule::of($this->kind, $this->direction, $limit, $confidence, $this->coverage, $this->conditions);
    }

    public function view(): RequirementView
    {
        return new RequirementView($this->id()->toRfc4122(), $this->version(), $this->device->id()->toRfc4122(), $this->statement, $this->metric, $this->unit, $this->limit, $this->direction, $this->kind, $this->coverage, $this->must, $this->conditions, $this->dependsOn, $this->place);
    }

    public function metric(): string
    {
        return $this->metric;
    }

    public function unit(): string
    {
        return $this->unit;
    }

    public function kind(): Kind
    {
        return $this->kind;
    }

    /** @return list<string> */
    public function dependsOn(): array
    {
        return $this->dependsOn;
    }

    /** A value of the metric in this requirement's unit. */
    public function inUnit(Quantity $quantity): Quantity
    {
        return $this->unit === '' ? $quantity : $quantity->to($this->unit);
    }
}
