<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Doctrine\ORM\Mapping as ORM;
use Lustrum\Core\Run\Part as Fact;
use Lustrum\Core\Run\Row;
use Lustrum\Domain\Device\Device;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Shared\Doctrine\MoneyType;
use Lustrum\Shared\Refusal\Invalid;
use Symfony\Component\Uid\Uuid;

/**
 * A line of the parts list.
 *
 * @extends Record<PartInput>
 */
#[ORM\Entity]
class Part extends Record
{
    #[ORM\ManyToOne]
    #[ORM\JoinColumn(nullable: false)]
    private Revision $revision;

    #[ORM\Column(length: 120)]
    private string $name = '';

    #[ORM\Column(length: 120)]
    private string $material = '';

    #[ORM\Column]
    private float $quantity = 1.0;

    /** Cost of one, in the device's currency. */
    #[ORM\Column(type: MoneyType::NAME, precision: 12, scale: 4)]
    private BigDecimal $cost;

    #[ORM\Column(length: 300)]
    private string $note = '';

    /** Of one, in grams; null: nobody weighed it. */
    #[ORM\Column(nullable: true)]
    private ?float $mass = null;

    #[ORM\Column(length: 8)]
    private PartSort $sort = PartSort::Part;

    #[ORM\Column(length: 10)]
    private PartStanding $standing = PartStanding::Stays;

    #[ORM\Column(length: 120)]
    private string $reliedOn = '';

    #[ORM\Column(length: 120)]
    private string $checkedBy = '';

    /** The build of another device that this part is. */
    #[ORM\ManyToOne]
    private ?Revision $module = null;

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        $new = new self();
        $new->revision = $records->named(Revision::class, $input->revision, 'revision');

        return $new->beginUnder($id, $new->revision);
    }

    public function take(RecordInput $input, Records $records): void
    {
        $this->name = trim($input->name);
        $this->material = trim($input->material);
        $this->quantity = $input->quantity;
        $this->cost = BigDecimal::of((string) $input->cost)->toScale(4, RoundingMode::HalfUp);
        $this->note = $input->note;
        $this->mass = $input->mass;
        $this->sort = $input->sort;
        $this->standing = $input->standing;
        $this->reliedOn = trim($input->reliedOn);
        $this->checkedBy = trim($input->checkedBy);
        $this->module = $this->soundModule($records->namedOrNull(Revision::class, $input->module, 'module'), $records);
    }

    /** A module has builds of its own; it is another device of the same workspace, and never one that holds this one. */
    private function soundModule(?Revision $module, Records $records): ?Revision
    {
        if ($module === null) {
            return null;
        }
        if (!$module->workspace()->id()->equals($this->workspace()->id())) {
            throw Invalid::at('module', 'That module is of another workspace.');
        }
        $ours = $this->belongsTo()->toRfc4122();
        $seen = [];
        for ($at = [$module->device()]; $at !== [];) {
            $device = array_pop($at);
            $id = $device->id()->toRfc4122();
            if ($id === $ours) {
                throw Invalid::at('module', 'A module cannot be inside itself, nor inside what it is a part of.');
            }
            foreach (isset($seen[$id]) ? [] : $records->all(self::class, ['belongsTo' => $device->id()]) as $part) {
                if ($part->module !== null) {
                    $at[] = $part->module->device();
                }
            }
            $seen[$id] = true;
        }

        return $module;
    }

    public function module(): ?Revision
    {
        return $this->module;
    }

    /** Does it count in the sums of the product? */
    public function stays(): bool
    {
        return $this->standing === PartStanding::Stays;
    }

    public function build(): Uuid
    {
        return $this->revision->id();
    }

    public function revision(): Revision
    {
        return $this->revision;
    }

    public function name(): string
    {
        return $this->name;
    }

    public function cost(): BigDecimal
    {
        return $this->cost;
    }

    public function asFact(): Fact
    {
        return new Fact($this->name, $this->material, $this->quantity);
    }

    /** A module is another device's: a file names it by what it is called. */
    public function restore(array $row, Records $records): void
    {
        $called = Row::text($row['moduleName'] ?? '');
        foreach ($called === '' || $this->module !== null ? [] : $records->all(Device::class, ['workspace' => $this->workspace()]) as $device) {
            foreach (str_starts_with($called, $device->name().' ') ? $records->all(Revision::class, ['device' => $device]) : [] as $build) {
                if ($device->name().' '.$build->letter() === $called) {
                    $this->module = $this->soundModule($build, $records);

                    return;
                }
            }
        }
    }

    public static function asTyped(array $row): array
    {
        unset($row['module']);

        return $row;
    }

    public function view(): PartView
    {
        return new PartView(
            $this->id()->toRfc4122(), $this->version(), $this->revision->id()->toRfc4122(), $this->name, $this->material, $this->quantity,
            $this->cost->toFloat(), $this->note, $this->mass, $this->sort, $this->standing, $this->reliedOn, $this->checkedBy,
            $this->module?->id()->toRfc4122(), $this->module?->device()->id()->toRfc4122() ?? '',
            $this->module === null ? '' : $this->module->device()->name().' '.$this->module->letter(),
        );
    }
}
