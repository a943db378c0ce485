<?php

declare(strict_types=1);

namespace Lustrum\Revision;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
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
    #[ORM\Column(type: Types::DECIMAL, precision: 12, scale: 4)]
    private string $cost = '0';

    #[ORM\Column(length: 300)]
    private string $note = '';

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        $new = new self();
        $new->revision = $records->named(Revision::class, $input->revision, 'revision');

        return $new->begin($id, $new->revision->workspace());
    }

    public function take(RecordInput $input, Records $records): void
    {
        $this->name = trim($input->name);
        $this->material = trim($input->material);
        $this->quantity = $input->quantity;
        $this->cost = number_format($input->cost, 4, '.', '');
        $this->note = $input->note;
    }

    public function view(): PartView
    {
        return new PartView($this->id()->toRfc4122(), $this->version(), $this->revision->id()->toRfc4122(), $this->name, $this->material, $this->quantity, (float) $this->cost, $this->note);
    }
}
