<?php

declare(strict_types=1);

namespace Lustrum\Domain\Device;

use Doctrine\ORM\Mapping as ORM;
use Lustrum\Core\CoreException;
use Lustrum\Core\Quantity\Units;
use Lustrum\Core\Run\Row;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Shared\Doctrine\TextsType;
use Lustrum\Shared\Refusal\Invalid;
use Symfony\Component\Uid\Uuid;

/**
 * Something that is measured, counted or looked at on a device. Requirements, channels, changes and effects name it by
 * its identifier, so that a new name splits nothing.
 *
 * @extends Record<MetricInput>
 */
#[ORM\Entity]
class Metric extends Record
{
    #[ORM\ManyToOne(inversedBy: 'metrics')]
    #[ORM\JoinColumn(nullable: false)]
    private Device $device;

    #[ORM\Column(length: 120)]
    private string $name = '';

    /** The SI unit of its dimension; empty while nobody has measured it in a unit. */
    #[ORM\Column(length: 40)]
    private string $dimension = '';

    #[ORM\Column(length: 10)]
    private Scale $scale = Scale::Numeric;

    #[ORM\Column(nullable: true)]
    private ?float $naturalLow = null;

    #[ORM\Column(nullable: true)]
    private ?float $naturalHigh = null;

    #[ORM\Column(length: 10)]
    private string $effects = '';

    #[ORM\Column]
    private bool $computed = false;

    /** @var list<string> of an ordered scale, lowest first */
    #[ORM\Column(type: TextsType::NAME)]
    private array $words = [];

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        return self::under($id, $records->named(Device::class, $input->device, 'device'));
    }

    private static function under(Uuid $id, Device $device): self
    {
        $new = new self();
        $new->device = $device;
        $device->measures($new);

        return $new->beginUnder($id, $device);
    }

    /** The metric that somebody named by its name or its identifier; made where it is new. */
    public static function named(string $typed, string $unit, Device $device, Records $records): self
    {
        $known = $device->metricCalled($typed);
        if ($known === null) {
            // Two people may name the same new one at once: one waits here and then finds it.
            $connection = $records->manager()->getConnection();
            $connection->executeStatement('SELECT pg_advisory_xact_lock(hashtextextended(?, 1))', [$device->id()->toRfc4122()]);
            $id = $connection->fetchOne(
                'SELECT id FROM metric WHERE device_id = ? AND lower(name) = lower(?)', [$device->id()->toRfc4122(), trim($typed)],
            );
            $known = is_string($id) ? $records->manager()->find(self::class, $id) : null;
        }
        if ($known === null) {
            $known = self::under(Uuid::v7(), $device);
            $known->name = trim($typed);
            $records->add($known);
        }
        $known->measuredIn($unit);

        return $known;
    }

    /** The SI unit of what it measures; empty while nobody has measured it in a unit. */
    public function dimension(): string
    {
        return $this->dimension;
    }

    public function take(RecordInput $input, Records $records): void
    {
        $this->name = trim($input->name);
        $this->scale = $input->scale;
        if ($input->naturalLow !== null && $input->naturalHigh !== null && $input->naturalLow >= $input->naturalHigh) {
            throw Invalid::at('naturalHigh', 'The upper natural limit lies above the lower one.');
        }
        [$this->naturalLow, $this->naturalHigh] = [$input->naturalLow, $input->naturalHigh];
        $this->effects = $input->effects;
        $this->computed = $input->computed;
        $this->words = $input->words;
    }

    /**
     * The units that it is read in, by channels of methods and by readings that there are.
     *
     * @return list<string>
     */
    public function readIn(Records $records): array
    {
        $id = $this->id()->toRfc4122();

        return Row::texts($records->manager()->getConnection()->fetchFirstColumn(
            "SELECT DISTINCT c->>'unit' FROM method m, jsonb_array_elements(m.channels) c
             WHERE m.device_id = ? AND m.withdrawn_because IS NULL AND c->>'metric' = ?
             UNION SELECT DISTINCT current_unit FROM reading
             WHERE metric_id = ? AND withdrawn_because IS NULL AND NOT undecided ORDER BY 1",
            [$this->device->id()->toRfc4122(), $id, $id],
        ));
    }

    private function measuredIn(string $unit): void
    {
        if ($this->dimension !== '' || $unit === '') {
            return;
        }
        try {
            $this->dimension = Units::parse($unit)->dimension->siUnit();
        } catch (CoreException) {
            // The unit is refused at its own field.
            return;
        }
        if ($this->scale === Scale::Numeric) {
            $this->scale = match ($unit) {
                'count' => Scale::Count,
                '%' => Scale::Share,
                default => Scale::Numeric,
            };
            if ($this->scale !== Scale::Numeric) {
                [$this->naturalLow, $this->naturalHigh] = [0.0, $this->scale === Scale::Share ? 1.0 : null];
            }
        }
    }

    public function view(): MetricView
    {
        return new MetricView(
            $this->id()->toRfc4122(), $this->version(), $this->device->id()->toRfc4122(), $this->name, $this->dimension, $this->scale,
            $this->naturalLow, $this->naturalHigh, $this->effects, $this->computed, $this->words,
        );
    }

    public function name(): string
    {
        return $this->name;
    }

    /** @return list<string> of an ordered scale, lowest first; none where its values are no words */
    public function words(): array
    {
        return $this->scale === Scale::Ordered ? $this->words : [];
    }
}
