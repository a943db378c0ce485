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
use Lustrum\Shared\Doctrine\TextsType;
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

    /** @var list<ExpectedEffect> each naming its metric by identifier */
    #[ORM\Column(type: EffectsType::NAME)]
    private array $effects = [];

    #[ORM\Column(length: 12, nullable: true)]
    private ?ChangeVerdict $verdict = null;

    #[ORM\Column(type: Types::TEXT)]
    private string $verdictNote = '';

    /** @var list<string> identifiers of the failures that it is meant to end */
    #[ORM\Column(type: TextsType::NAME)]
    private array $against = [];

    /** @var list<string> what it altered: 'parameter:gap', 'part:bracket', 'firmware' */
    #[ORM\Column(type: TextsType::NAME)]
    private array $alters = [];

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        $new = new self();
        $new->revision = $records->named(Revision::class, $input->revision, 'revision');

        return $new->beginUnder($id, $new->revision);
    }

    public function take(RecordInput $input, Records $records): void
    {
        $this->what = trim($input->what);
        $this->why = $input->why;
        $this->class = $input->class;
        $this->verdict = $input->verdict;
        $this->verdictNote = $input->verdictNote;
        $this->alters = $input->alters;
        $this->against = $records->identifiers(Failure::class, $input->against, 'against', $this->revision->belongsTo());
        $this->effects = ExpectedEffect::kept($input->effects, $this->revision->device(), $records);
    }

    public function build(): Uuid
    {
        return $this->revision->id();
    }

    public function view(): ChangeView
    {
        $device = $this->revision->device();

        return new ChangeView(
            $this->id()->toRfc4122(), $this->version(), $this->revision->id()->toRfc4122(), $this->what, $this->why, $this->class,
            array_map(static fn (ExpectedEffect $e): ExpectedEffect => $e->on($device->metricName($e->metric)), $this->effects),
            $this->verdict, $this->verdictNote, $this->against, $this->alters,
        );
    }
}
