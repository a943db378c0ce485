<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Doctrine\ORM\Mapping as ORM;
use Lustrum\Core\Run\Part as Fact;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Shared\Doctrine\MoneyType;
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

    public function view(): PartView
    {
        return new PartView(
            $this->id()->toRfc4122(), $this->version(), $this->revision->id()->toRfc4122(), $this->name, $this->material, $this->quantity,
            $this->cost->toFloat(), $this->note,
        );
    }
}
