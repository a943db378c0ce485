<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

use Doctrine\ORM\Mapping as ORM;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Run\Parameter as Fact;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Shared\Measure;
use Symfony\Component\Uid\Uuid;

/**
 * A number of the design, with its unit.
 *
 * @extends Record<ParameterInput>
 */
#[ORM\Entity]
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

        return $new->beginUnder($id, $new->revision);
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

    public function text(): string
    {
        return $this->measure->view()->text;
    }

    public function asFact(): Fact
    {
        return new Fact($this->name, $this->measure->value, $this->measure->unit, $this->measure->resolution, $this->measure->si);
    }

    public function view(): ParameterView
    {
        return new ParameterView(
            $this->id()->toRfc4122(), $this->version(), $this->revision->id()->toRfc4122(), $this->name, $this->measure->view(),
        );
    }

    public static function asTyped(array $row): array
    {
        return Measure::asTyped($row, 'measure');
    }
}
