<?php

declare(strict_types=1);

namespace Lustrum\Revision;

use Doctrine\ORM\Mapping as ORM;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Record\Measure;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Symfony\Component\Uid\Uuid;

/**
 * A number of the design, with its unit.
 *
 * @extends Record<ParameterInput>
 */
#[ORM\Entity]
#[ORM\UniqueConstraint(columns: ['revision_id', 'name'])]
class Parameter extends Record
{
    #[ORM\ManyToOne]
    #[ORM\JoinColumn(nullable: false)]
    private Revision $revision;

    #[ORM\Column(length: 120)]
    private string $name = '';

    #[ORM\Embedded]
    private Measure $measure;

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        $new = new self();
        $new->revision = $records->named(Revision::class, $input->revision, 'revision');

        return $new->begin($id, $new->revision->workspace());
    }

    public function take(RecordInput $input, Records $records): void
    {
        $this->name = trim($input->name);
        $this->measure = Measure::of(Quantity::typed($input->text));
    }

    public function restore(array $row, Records $records): void
    {
        if (is_array($row['measure'] ?? null)) {
            $this->measure = Measure::fromRow($row['measure']);
        }
    }

    public function view(): ParameterView
    {
        return new ParameterView($this->id()->toRfc4122(), $this->version(), $this->revision->id()->toRfc4122(), $this->name, $this->measure->view());
    }
}
