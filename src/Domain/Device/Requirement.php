<?php

declare(strict_types=1);

namespace Lustrum\Domain\Device;

use Doctrine\ORM\Mapping as ORM;
use Lustrum\Core\CoreException;
use Lustrum\Core\Evidence\Conditions;
use Lustrum\Core\Evidence\Direction;
use Lustrum\Core\Evidence\Kind;
use Lustrum\Core\Evidence\Requirement as Rule;
use Lustrum\Core\Judging\Members;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Quantity\Units;
use Lustrum\Core\Run\Row;
use Lustrum\Core\Wording\EvidenceWords;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Shared\Doctrine\TextsType;
use Lustrum\Shared\Refusal\Invalid;
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

    // A requirement is never shown without it.
    #[ORM\ManyToOne(fetch: 'EAGER')]
    #[ORM\JoinColumn(nullable: false)]
    private Metric $metric;

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
    #[ORM\Column(type: TextsType::NAME)]
    private array $conditions = [];

    /** @var list<string> */
    #[ORM\Column(type: TextsType::NAME)]
    private array $dependsOn = [];

    /** @var list<string> states of article that are enough */
    #[ORM\Column(type: TextsType::NAME)]
    private array $enough = [];

    /** @var list<string> names of methods that count */
    #[ORM\Column(type: TextsType::NAME)]
    private array $methods = [];

    /** @var list<string> identifiers of the uses that ask for it */
    #[ORM\Column(type: TextsType::NAME)]
    private array $uses = [];

    #[ORM\Column(length: 120)]
    private string $askedBy = '';

    #[ORM\Column(length: 8)]
    private Members $members = Members::Each;

    /** A module's requirement whose evidence counts for it. */
    #[ORM\ManyToOne]
    private ?Requirement $byModule = null;

    #[ORM\Column(length: 10)]
    private RequirementSource $source = RequirementSource::Runs;

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
        if ($input->kind === Kind::Rate && self::share($input->limit, $input->unit) >= 1.0 && $input->direction === Direction::AtLeast) {
            throw Invalid::at('limit', 'Every one of all can never be shown, however many are tried: say nine in ten, or 99 %.');
        }
        if ($input->source !== RequirementSource::Runs && in_array($input->kind, [Kind::Rate, Kind::Spread, Kind::Rating], true)) {
            throw Invalid::at('kind', 'What is worked out from the build has no share and no spread: it is met or not.');
        }
        $this->statement = trim($input->statement);
        // A plain number needs no unit.
        $isShare = in_array($input->kind, [Kind::Check, Kind::Rate], true) && $input->source === RequirementSource::Runs;
        $this->unit = trim($input->unit) === '' && !$isShare ? '1' : trim($input->unit);
        $this->limit = $input->limit;
        $this->direction = $input->direction;
        $this->kind = $input->kind;
        $this->coverage = $input->coverage;
        $this->must = $input->must;
        $this->conditions = $input->conditions;
        $this->dependsOn = $input->dependsOn;
        $this->enough = $input->enough;
        $this->methods = $input->methods;
        $this->uses = $records->identifiers(UseCase::class, $input->uses, 'uses', $this->device->id());
        $this->askedBy = trim($input->askedBy);
        $this->members = $input->members;
        $this->byModule = $this->soundModule($records->namedOrNull(self::class, $input->byModule, 'byModule'));
        $this->source = $input->source;
        $this->place = $input->place;
        $this->mustBeSound();
        $this->metric = Metric::named($input->metric, $this->unit, $this->device, $records);
        if ($this->source === RequirementSource::Runs && $this->metric->words() !== []) {
            $this->mustBeOfWords($this->metric->words());
        }
        if (!$isShare && $this->source === RequirementSource::Runs) {
            $this->mustFit($this->metric->readIn($records));
        }
    }

    /** @param non-empty-list<string> $words of its scale, the lowest first */
    private function mustBeOfWords(array $words): void
    {
        if (in_array($this->kind, [Kind::Mean, Kind::Rating, Kind::Spread], true)) {
            throw Invalid::at('kind', 'Words have no mean and no spread: ask it of every article, or of a share of the runs.');
        }
        $place = (int) $this->limit;
        if ($this->kind === Kind::Every && ((float) $place !== $this->limit || !isset($words[$place - 1]))) {
            throw Invalid::at('limit', sprintf('The limit is a word of its scale, or its place there: %s.', implode(', ', array_map(
                static fn (int $i, string $word): string => ($i + 1).' '.$word, array_keys($words), $words,
            ))));
        }
    }

    /**
     * A limit in a unit that measures something else could never be shown, and nobody would be told.
     *
     * @param list<string> $units that its metric is read in
     */
    private function mustFit(array $units): void
    {
        $asked = Units::parse($this->unit);
        foreach ($units as $unit) {
            if (Units::parse($unit)->dimension->equals($asked->dimension)) {
                return;
            }
        }
        if ($units !== []) {
            throw Invalid::at('unit', sprintf(
                '“%s” is read in %s; %s measures %s, so that no run could count for it.', $this->metric->name(), $units[0], $this->unit,
                $asked->measures(),
            ));
        }
    }

    /** It speaks of the same, in a unit of the same kind: else its evidence would show something else. */
    private function soundModule(?self $of): ?self
    {
        if ($of === null) {
            return null;
        }
        if ($of->device->id()->equals($this->device->id())) {
            throw Invalid::at('byModule', 'That requirement is this device’s own; a module is another device.');
        }
        if (!$of->workspace()->id()->equals($this->workspace()->id())) {
            throw Invalid::at('byModule', 'That module is of another workspace.');
        }
        $isWeaker = $of->kind !== $this->kind || $of->direction !== $this->direction || !$this->isMetBy($of);
        if ($isWeaker) {
            throw Invalid::at('byModule', sprintf(
                '“%s” asks the module for less, or for something else: %s, where this asks for %s.', $of->statement,
                EvidenceWords::limit($of->kind, $of->direction, $of->limit, $of->unit, $of->metric->words()),
                EvidenceWords::limit($this->kind, $this->direction, $this->limit, $this->unit, $of->metric->words()),
            ));
        }

        return $of;
    }

    /** Is whatever meets the other one within the limit of this one? */
    private function isMetBy(self $other): bool
    {
        try {
            $limit = $other->unit === $this->unit || $other->unit === '' || $this->unit === ''
                ? $other->limit : Quantity::of($other->limit, $other->unit)->to($this->unit)->value;
        } catch (CoreException) {
            return false;
        }

        return $this->direction->met($limit, $this->limit);
    }

    public function device(): Device
    {
        return $this->device;
    }

    private static function share(float $limit, string $unit): float
    {
        return trim($unit) === '%' ? $limit / 100 : $limit;
    }

    /** The core refuses a rule that can never be shown. */
    private function mustBeSound(): void
    {
        $limit = $this->kind === Kind::Rate ? self::share($this->limit, $this->unit) : $this->limit;
        foreach ($this->conditions as $condition) {
            if (preg_match('/^[^=<>≥≤]+(=|>=|<=|≥|≤)\s*\S/u', $condition) !== 1) {
                throw Invalid::at('conditions', sprintf('“%s” says nothing: it takes soil=moist, or drop height>=0.75 m.', $condition));
            }
        }
        try {
            Conditions::of($this->conditions);
        } catch (CoreException $wrong) {
            throw Invalid::at('conditions', $wrong->getMessage());
        }
        Rule::of($this->kind, $this->direction, $limit, 0.95, $this->coverage, $this->conditions);
    }

    /** @return list<string> identifiers of the uses that ask for it; none: every one */
    public function uses(): array
    {
        return $this->uses;
    }

    /** A module is another device's: a file names its requirement by what it is called. */
    public function restore(array $row, Records $records): void
    {
        $called = Row::text($row['byModuleName'] ?? '');
        foreach ($called === '' ? [] : $records->all(Device::class, ['workspace' => $this->workspace()]) as $device) {
            foreach (str_starts_with($called, $device->name().': ') ? $records->all(self::class, ['device' => $device]) : [] as $one) {
                if ($device->name().': '.$one->statement === $called) {
                    $this->byModule = $this->soundModule($one);

                    return;
                }
            }
        }
    }

    public static function asTyped(array $row): array
    {
        unset($row['byModule']);

        return $row;
    }

    public function view(): RequirementView
    {
        return new RequirementView(
            $this->id()->toRfc4122(), $this->version(), $this->device->id()->toRfc4122(), $this->statement,
            $this->metric->name(), $this->metric->id()->toRfc4122(), $this->unit, $this->limit,
            EvidenceWords::limit($this->kind, $this->direction, $this->limit, $this->unit, $this->metric->words()),
            $this->direction, $this->kind,
            $this->coverage, $this->must, $this->conditions, array_map(EvidenceWords::condition(...), $this->conditions),
            $this->dependsOn, $this->enough, $this->methods, $this->uses, $this->askedBy, $this->members,
            $this->byModule?->id()->toRfc4122(),
            $this->byModule === null ? '' : $this->byModule->device->name().': '.$this->byModule->statement,
            $this->source, $this->place,
        );
    }
}
