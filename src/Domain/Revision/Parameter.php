<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

use Doctrine\ORM\Mapping as ORM;
use Lustrum\Core\CoreException;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Quantity\QuantityText;
use Lustrum\Core\Quantity\Typed;
use Lustrum\Core\Run\Followed;
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

    /** Standard uncertainty in its unit; null: nobody said, then its last digit tells. */
    #[ORM\Column(name: 'uncertainty', nullable: true)]
    private ?float $u = null;

    /** Worked out from others of the build; empty: it was typed. */
    #[ORM\Column(length: 300)]
    private string $formula = '';

    /** In which unit it is wanted. */
    #[ORM\Column(length: 40)]
    private string $formulaUnit = '';

    #[ORM\Column(length: 120)]
    private string $reliedOn = '';

    #[ORM\Column(length: 120)]
    private string $checkedBy = '';

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        $new = new self();
        $new->revision = $records->named(Revision::class, $input->revision, 'revision');

        return $new->beginUnder($id, $new->revision);
    }

    public function take(RecordInput $input, Records $records): void
    {
        $this->name = trim($input->name);
        $this->reliedOn = trim($input->reliedOn);
        $this->checkedBy = trim($input->checkedBy);
        $this->formula = trim($input->formula);
        $this->formula === '' ? $this->type($input, $records) : $this->work($input, $records);
        $this->haveFollow($records);
    }

    private function type(ParameterInput $input, Records $records): void
    {
        $fact = Fact::typed($this->name, $input->text);
        $this->formulaUnit = '';
        $plain = QuantityText::bare($input->text);
        if ($plain !== null) {
            $this->mustBePlain($records);
        }
        // What begins with a digit was meant as a quantity: then the reason why it is none is said.
        if ($fact->words !== '' && preg_match('/^[\s+−-]*[0-9.,]/u', $input->text) === 1) {
            preg_match('/±|\+\/-/u', $input->text) === 1 ? Typed::read($input->text, null, '1') : Quantity::typed($input->text);
        }
        if (trim($input->text) === '') {
            throw Invalid::at('text', 'This is still empty.');
        }
        $this->is($fact);
    }

    private function is(Fact $fact): void
    {
        [$this->words, $this->u] = [$fact->words, $fact->u];
        $this->measure = Measure::of(Quantity::of($fact->value, $fact->unit === '' ? '1' : $fact->unit, $fact->resolution));
    }

    private function work(ParameterInput $input, Records $records): void
    {
        // A value before the unit is not asked twice: it is worked out.
        $unit = trim((string) preg_replace('/^[+−-]?\d[\d.,]*(\s*±\s*[\d.,]+)?(\s+|$)/u', '', trim($input->text)));
        $others = array_values(array_filter($this->siblings($records), fn (self $p): bool => $p !== $this));
        try {
            $this->formulaUnit = $unit;
            $this->is(Followed::value($this->name, $this->formula, $unit, array_map(static fn (self $p): Fact => $p->asFact(), $others)));
        } catch (CoreException $wrong) {
            throw Invalid::at('formula', $wrong->getMessage());
        }
    }

    /** What is worked out from it is worked out again, in the same write. */
    private function haveFollow(Records $records): void
    {
        $all = $this->siblings($records);
        $follow = array_filter($all, static fn (self $p): bool => $p->formula !== '');
        if ($follow === []) {
            return;
        }
        $formulas = [];
        foreach ($follow as $one) {
            $formulas[$one->name] = ['formula' => $one->formula, 'unit' => $one->formulaUnit];
        }
        try {
            $values = Followed::all(array_map(static fn (self $p): Fact => $p->asFact(), $all), $formulas);
        } catch (CoreException $wrong) {
            throw Invalid::at('formula', $wrong->getMessage());
        }
        foreach ($follow as $one) {
            if ($one !== $this && isset($values[$one->name])) {
                $one->is($values[$one->name]);
            }
        }
    }

    /** @return list<self> of the same build, this one among them */
    private function siblings(Records $records): array
    {
        $others = array_filter(
            $records->all(self::class, ['revision' => $this->revision]), fn (self $p): bool => !$p->id()->equals($this->id()),
        );

        return [...array_values($others), $this];
    }

    /** As on the build that this one comes from: its formula goes along, whoever checked a fit checks it again. */
    public function follows(self $other): void
    {
        [$this->formula, $this->formulaUnit, $this->reliedOn] = [$other->formula, $other->formulaUnit, $other->reliedOn];
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
        $this->u = Row::numberOrNull($row['u'] ?? null);
        if (Row::text($row['follows'] ?? '') !== '') {
            [$this->formula, $this->formulaUnit] = [Row::text($row['follows']), Row::text($row['formulaUnit'] ?? '')];
        }
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
        return $this->asFact()->text();
    }

    public function asFact(): Fact
    {
        return new Fact(
            $this->name, $this->measure->value, $this->measure->unit, $this->measure->resolution, $this->measure->si,
            $this->words, $this->u, $this->formula !== '',
        );
    }

    public function view(): ParameterView
    {
        return new ParameterView(
            $this->id()->toRfc4122(), $this->version(), $this->revision->id()->toRfc4122(), $this->name,
            match (true) {
                $this->words !== '' => MeasureView::words($this->words),
                $this->u !== null => $this->measure->view()->said($this->asFact()->text()),
                default => $this->measure->view(),
            }, $this->words, $this->u, $this->formula, $this->formulaUnit, $this->reliedOn, $this->checkedBy,
        );
    }

    public static function asTyped(array $row): array
    {
        // What it is worked out from may stand below it in the file: it comes in as it was, and follows from then on.
        $row = ['formula' => '', 'follows' => Row::text($row['formula'] ?? '')] + $row;

        return is_string($row['words'] ?? null) && $row['words'] !== '' ? ['text' => $row['words']] + $row : Measure::asTyped(
            $row, 'measure',
        );
    }
}
