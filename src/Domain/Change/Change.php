<?php

declare(strict_types=1);

namespace Lustrum\Domain\Change;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Lustrum\Core\Change\ChangeClass;
use Lustrum\Core\Change\ChangeVerdict;
use Lustrum\Domain\Device\Metric;
use Lustrum\Domain\Finding\Failure;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Shared\Refusal\Invalid;
use Symfony\Component\Uid\Uuid;

/**
 * A difference between a revision and its parent, with what was expected of it.
 *
 * @extends Record<ChangeInput>
 */
#[ORM\Entity]
class Change extends Record
{
    #[ORM\ManyToOne]
    #[ORM\JoinColumn(nullable: false)]
    private Revision $revision;

    #[ORM\Column(length: 300)]
    private string $what = '';

    #[ORM\Column(type: Types::TEXT)]
    private string $why = '';

    #[ORM\Column(length: 12)]
    private ChangeClass $class = ChangeClass::Shape;

    #[ORM\ManyToOne]
    private ?Metric $metric = null;

    /** Expected difference, in $unit; its sign is the direction. */
    #[ORM\Column(nullable: true)]
    private ?float $expected = null;

    #[ORM\Column(length: 40)]
    private string $unit = '';

    #[ORM\Column(length: 12, nullable: true)]
    private ?ChangeVerdict $verdict = null;

    #[ORM\Column(type: Types::TEXT)]
    private string $verdictNote = '';

    /** The failure that it is meant to end. */
    #[ORM\ManyToOne]
    private ?Failure $against = null;

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        $new = new self();
        $new->revision = $records->named(Revision::class, $input->revision, 'revision');

        return $new->beginUnder($id, $new->revision);
    }

    public function take(RecordInput $input, Records $records): void
    {
        if ($input->expected !== null && trim($input->unit) === '') {
            throw Invalid::at('unit', 'An expected amount needs its unit.');
        }
        if ($input->expected !== null && trim($input->metric) === '') {
            throw Invalid::at('metric', 'Which metric should move by that amount?');
        }
        $this->what = trim($input->what);
        $this->why = $input->why;
        $this->class = $input->class;
        $this->expected = $input->expected;
        $this->unit = trim($input->unit);
        $this->verdict = $input->verdict;
        $this->verdictNote = $input->verdictNote;
        $this->metric = trim($input->metric) === '' ? null : Metric::named(
            $input->metric, $this->unit, $this->revision->device(), $records,
        );
        $this->against = $records->namedOrNull(Failure::class, $input->against, 'against');
    }

    public function build(): Uuid
    {
        return $this->revision->id();
    }

    public function view(): ChangeView
    {
        return new ChangeView(
            $this->id()->toRfc4122(), $this->version(), $this->revision->id()->toRfc4122(), $this->what, $this->why, $this->class,
            $this->metric?->name() ?? '', $this->expected, $this->unit, $this->verdict, $this->verdictNote, $this->against?->id()->toRfc4122(),
        );
    }
}
