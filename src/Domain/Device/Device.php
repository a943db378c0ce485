<?php

declare(strict_types=1);

namespace Lustrum\Domain\Device;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Doctrine\Common\Collections\ArrayCollection;
use Doctrine\Common\Collections\Collection;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Shared\Doctrine\MoneyType;
use Lustrum\Shared\Refusal\Invalid;
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

    #[ORM\Column(type: MoneyType::NAME, precision: 12, scale: 2, nullable: true)]
    private ?BigDecimal $costLimit = null;

    #[ORM\Column(nullable: true)]
    private ?float $hoursLimit = null;

    #[ORM\Column(nullable: true)]
    private ?int $changesLimit = null;

    /** Where it began; null: here. */
    #[ORM\Column(type: OriginType::NAME, nullable: true)]
    private ?Origin $beganWith = null;

    /** Raised at the end of every write that bears on the device; what was worked out carries the count it was worked out at. */
    #[ORM\Column(insertable: false, updatable: false, options: ['default' => 0])]
    private int $counter = 0;

    /** @var Collection<int, Metric> */
    #[ORM\OneToMany(targetEntity: Metric::class, mappedBy: 'device')]
    private Collection $metrics;

    private function __construct()
    {
        $this->metrics = new ArrayCollection();
    }

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        return (new self())->begin($id, $records->workspace(Uuid::fromString($input->workspace)), $id);
    }

    public function take(RecordInput $input, Records $records): void
    {
        $this->name = trim($input->name);
        $this->brief = $input->brief;
        $this->users = $input->users;
        $this->gates = $input->gates;
        $this->confidence = $input->confidence;
        $this->currency = trim($input->currency);
        $this->costLimit = $input->costLimit === null ? null : BigDecimal::of((string) $input->costLimit)->toScale(2, RoundingMode::HalfUp);
        $this->hoursLimit = $input->hoursLimit;
        $this->changesLimit = $input->changesLimit;
        $this->beganWith = $this->soundOrigin($input->beganWith);
    }

    /** Whose it was cannot be taken off again: it may be said better. */
    private function soundOrigin(?Origin $origin): ?Origin
    {
        if ($origin === null || trim($origin->name.$origin->author.$origin->terms) === '') {
            return $this->beganWith;
        }
        if (trim($origin->name) === '') {
            throw Invalid::at('beganWith.name', 'Which design, or which build?');
        }

        return new Origin(
            trim($origin->name), trim($origin->author), trim($origin->terms), trim($origin->alterations),
            $this->beganWith->build ?? $origin->build,
        );
    }

    public function beganWith(): ?Origin
    {
        return $this->beganWith;
    }

    public function view(): DeviceView
    {
        return new DeviceView(
            $this->id()->toRfc4122(), $this->version(), $this->workspace()->id()->toRfc4122(), $this->name, $this->brief, $this->users,
            $this->gates, $this->confidence, $this->currency, $this->costLimit?->toFloat(), $this->hoursLimit,
            $this->changesLimit, $this->beganWith,
        );
    }

    public function name(): string
    {
        return $this->name;
    }

    /** As decimal text; null where none was set. */
    public function costLimit(): ?string
    {
        return $this->costLimit === null ? null : (string) $this->costLimit;
    }

    /** A new metric that was named for it. */
    public function measures(Metric $metric): void
    {
        $this->metrics->add($metric);
    }

    /** By name, however it is written, or by identifier. */
    public function metricCalled(string $typed): ?Metric
    {
        $wanted = mb_strtolower(trim($typed));
        foreach ($this->metrics as $metric) {
            if (mb_strtolower($metric->name()) === $wanted || $metric->id()->toRfc4122() === $wanted) {
                return $metric;
            }
        }

        return null;
    }

    /** The name of a metric by its identifier; empty where there is none. */
    public function metricName(string $id): string
    {
        return $id === '' ? '' : $this->metricCalled($id)?->name() ?? '';
    }
}
