<?php

declare(strict_types=1);

namespace Lustrum\Revision;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Lustrum\Core\Change\ChangeVerdict;
use Lustrum\Finding\Failure;
use Lustrum\Http\Problem;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
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

    #[ORM\Column(length: 120)]
    private string $metric = '';

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

        return $new->begin($id, $new->revision->workspace());
    }

    public function take(RecordInput $input, Records $records): void
    {
        if ($input->expected !== null && trim($input->unit) === '') {
            throw Problem::violation('unit', 'An expected amount needs its unit.');
        }
        if ($input->expected !== null && trim($input->metric) === '') {
            throw Problem::violation('metric', 'Which metric should move by that amount?');
        }
        $this->what = trim($input->what);
        $this->why = $input->why;
        $this->class = $input->class;
        $this->metric = trim($input->metric);
        $this->expected = $input->expected;
        $this->unit = trim($input->unit);
        $this->verdict = $input->verdict;
        $this->verdictNote = $input->verdictNote;
        $this->against = $records->namedOrNull(Failure::class, $input->against, 'against');
    }

    public function view(): ChangeView
    {
        return new ChangeView($this->id()->toRfc4122(), $this->version(), $this->revision->id()->toRfc4122(), $this->what, $this->why, $this->class, $this->metric, $this->expected, $this->unit, $this->verdict, $this->verdictNote, $this->against?->id()->toRfc4122());
    }
}
