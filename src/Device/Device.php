<?php

declare(strict_types=1);

namespace Lustrum\Device;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Symfony\Component\Uid\Uuid;

/**
 * The thing being developed, with its brief and the limits that a next build has to keep.
 *
 * @extends Record<DeviceInput>
 */
#[ORM\Entity]
class Device extends Record
{
    #[ORM\Column(length: 120)]
    private string $name = '';

    #[ORM\Column(type: Types::TEXT)]
    private string $brief = '';

    #[ORM\Column(type: Types::TEXT)]
    private string $users = '';

    #[ORM\Column(length: 10)]
    private string $gates = 'open';

    #[ORM\Column]
    private float $confidence = 0.95;

    #[ORM\Column(length: 8)]
    private string $currency = '';

    #[ORM\Column(type: Types::DECIMAL, precision: 12, scale: 2, nullable: true)]
    private ?string $costLimit = null;

    #[ORM\Column(nullable: true)]
    private ?float $hoursLimit = null;

    #[ORM\Column(nullable: true)]
    private ?int $changesLimit = null;

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        return (new self())->begin($id, $records->workspace(Uuid::fromString($input->workspace)));
    }

    public function take(RecordInput $input, Records $records): void
    {
        $this->name = trim($input->name);
        $this->brief = $input->brief;
        $this->users = $input->users;
        $this->gates = $input->gates;
        $this->confidence = $input->confidence;
        $this->currency = $input->currency;
        $this->costLimit = $input->costLimit === null ? null : number_format($input->costLimit, 2, '.', '');
        $this->hoursLimit = $input->hoursLimit;
        $this->changesLimit = $input->changesLimit;
    }

    public function view(): DeviceView
    {
        return new DeviceView($this->id()->toRfc4122(), $this->version(), $this->workspace()->id()->toRfc4122(), $this->name, $this->brief, $this->users, $this->gates, $this->confidence, $this->currency, $this->costLimit === null ? null : (float) $this->costLimit, $this->hoursLimit, $this->changesLimit);
    }

    public function name(): string
    {
        return $this->name;
    }

    public function confidence(): float
    {
        return $this->confidence;
    }
}
