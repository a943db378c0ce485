<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

use Doctrine\ORM\Mapping as ORM;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Quantity\QuantityText;
use Lustrum\Core\Run\Parameter as Fact;
use Lustrum\Core\Run\Row;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Shared\Measure;
use Lustrum\Shared\MeasureView;
use Lustrum\Shared\Refusal\Invalid;
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

    /** Where it is no quantity: 'wave', 'soft'. */
    #[ORM\Column(length: 120)]
    private string $words = '';

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        $new = new self();
        $new->revision = $records->named(Revision::class, $input->revision, 'revision');

        return $new->beginUnder($id, $new->revision);
    }

    public function take(RecordInput $input, Records $records): void
    {
        $this->name = trim($input->name);
        $fact = Fact::typed($this->name, $input->text);
        $plain = QuantityText::bare($input->text);
        if ($plain !== null) {
            $this->mustBePlain($records);
        }
        // What begins with a digit was meant as a quantity: then the reason why it is none is said.
        if ($fact->words !== '' && preg_match('/^[\s+−-]*[0-9.,]/u', $input->text) === 1) {
            Quantity::typed($input->text);
        }
        if (trim($input->text) === '') {
            throw Invalid::at('text', 'This is still empty.');
        }
        $this->words = $fact->words;
        $this->measure = Measure::of(Quantity::of($fact->value, $fact->unit === '' ? '1' : $fact->unit, $fact->resolution));
    }

    /** A number without a unit, such as 12 teeth: unless the parent has a unit for it, which was then forgotten here. */
    private function mustBePlain(Records $records): void
    {
        $parent = $this->revision->parent();
        foreach ($parent === null ? [] : $records->all(self::class, ['revision' => $parent]) as $other) {
            if ($other->name === $this->name && $other->words === '' && $other->measure->unit !== '1') {
                throw Invalid::at('text', sprintf('With its unit: on %s it is %s.', $other->revision->letter(), $other->text()));
            }
        }
    }

    public function restore(array $row, Records $records): void
    {
        $this->words = Row::text($row['words'] ?? '');
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
        return $this->words !== '' ? $this->words : $this->measure->view()->text;
    }

    public function asFact(): Fact
    {
        return new Fact($this->name, $this->measure->value, $this->measure->unit, $this->measure->resolution, $this->measure->si, $this->words);
    }

    public function view(): ParameterView
    {
        return new ParameterView(
            $this->id()->toRfc4122(), $this->version(), $this->revision->id()->toRfc4122(), $this->name,
            $this->words === '' ? $this->measure->view() : MeasureView::words($this->words), $this->words,
        );
    }

    public static function asTyped(array $row): array
    {
        return is_string($row['words'] ?? null) && $row['words'] !== '' ? ['text' => $row['words']] + $row : Measure::asTyped($row, 'measure');
    }
}
