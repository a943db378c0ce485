<?php

declare(strict_types=1);

namespace Lustrum\Domain\Working;

use Doctrine\ORM\Mapping as ORM;
use Lustrum\Record\Named;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Shared\Refusal\Invalid;
use Symfony\Component\Uid\Uuid;

/**
 * A sum of one's own in the workshop's list, used like the others.
 *
 * @extends Record<WorkshopSumInput>
 */
#[ORM\Entity]
#[ORM\Table(name: 'workshop_sum')]
class WorkshopSum extends Record implements Named
{
    #[ORM\Column(length: 120)]
    private string $name = '';

    #[ORM\Column(type: OwnFormulaType::NAME)]
    private OwnFormula $own;

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        // It belongs to no device, and so to itself.
        return (new self())->begin($id, $records->workspaceToWrite($input->workspace), $id);
    }

    public function take(RecordInput $input, Records $records): void
    {
        $name = trim($input->name);
        if ($records->namesake(self::class, ['workspace' => $this->workspace()], $name, $this->id()) !== null) {
            throw Invalid::at('name', sprintf('There is a sum “%s” already.', $name));
        }
        $own = $input->own();
        $own->work();
        [$this->name, $this->own] = [$name, $own];
    }

    public function view(): WorkshopSumView
    {
        return new WorkshopSumView(
            $this->id()->toRfc4122(), $this->version(), $this->workspace()->id()->toRfc4122(), $this->name, $this->own->formula,
            $this->own->variables,
            $this->own->unit, $this->own->note,
        );
    }

    public function name(): string
    {
        return $this->name;
    }

    public function own(): OwnFormula
    {
        return $this->own;
    }
}
