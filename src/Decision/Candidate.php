<?php

declare(strict_types=1);

namespace Lustrum\Decision;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Lustrum\Finding\Failure;
use Lustrum\Http\Problem;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Record\Stored;
use Lustrum\Revision\ChangeClass;
use Lustrum\Revision\Revision;
use Symfony\Component\Uid\Uuid;

/**
 * A change proposed for a next build. What was dropped stays, with its reason.
 *
 * @extends Record<CandidateInput>
 */
#[ORM\Entity]
class Candidate extends Record
{
    /** The build that it was proposed on. */
    #[ORM\ManyToOne]
    #[ORM\JoinColumn(nullable: false)]
    private Revision $revision;

    #[ORM\Column(length: 300)]
    private string $what = '';

    #[ORM\Column(type: Types::TEXT)]
    private string $why = '';

    #[ORM\Column(length: 12)]
    private ChangeClass $class = ChangeClass::Shape;

    #[ORM\Column(type: Types::DECIMAL, precision: 12, scale: 2)]
    private string $cost = '0';

    #[ORM\Column]
    private float $hours = 0.0;

    /** @var list<array<string, mixed>> */
    #[ORM\Column(type: Types::JSON)]
    private array $effects = [];

    #[ORM\Column(length: 10)]
    private CandidateSource $source = CandidateSource::Team;

    #[ORM\Column(length: 120)]
    private string $askedBy = '';

    #[ORM\ManyToOne]
    private ?Failure $failure = null;

    #[ORM\Column(length: 8)]
    private Choice $choice = Choice::Open;

    #[ORM\Column(type: Types::TEXT)]
    private string $reason = '';

    /** The decision that settled it; an undecided one is carried to the next build. */
    #[ORM\ManyToOne]
    private ?Decision $decision = null;

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        $new = new self();
        $new->revision = $records->named(Revision::class, $input->revision, 'revision');

        return $new->begin($id, $new->revision->workspace());
    }

    public function take(RecordInput $input, Records $records): void
    {
        if ($this->decision !== null) {
            throw Problem::of(409, 'decided', 'This candidate was decided on; the record stays as it is. Propose it again if it should come back.');
        }
        foreach ($input->effects as $i => $effect) {
            if ($effect->low > $effect->likely || $effect->likely > $effect->high) {
                throw Problem::violation(sprintf('effects[%d].likely', $i), 'The likely effect lies between the low and the high one.');
            }
        }
        if ($input->choice !== Choice::Open && trim($input->reason) === '') {
            throw Problem::violation('reason', match ($input->choice) {
                Choice::In => 'Say why it goes in.',
                Choice::Wait => 'Say what it waits for.',
                default => 'Say why it is dropped, and what would bring it back.',
            });
        }
        $this->what = trim($input->what);
        $this->why = $input->why;
        $this->class = $input->class;
        $this->cost = number_format($input->cost, 2, '.', '');
        $this->hours = $input->hours;
        $this->effects = Stored::rows($input->effects);
        $this->source = $input->source;
        $this->askedBy = trim($input->askedBy);
        $this->failure = $records->namedOrNull(Failure::class, $input->failure, 'failure');
        $this->choice = $input->choice;
        $this->reason = $input->reason;
    }

    public function view(): CandidateView
    {
        return new CandidateView($this->id()->toRfc4122(), $this->version(), $this->revision->id()->toRfc4122(), $this->what, $this->why, $this->class, (float) $this->cost, $this->hours, $this->effects(), $this->source, $this->askedBy, $this->failure?->id()->toRfc4122(), $this->choice, $this->reason, $this->decision?->id()->toRfc4122(), $this->createdBy());
    }

    public function restore(array $row, Records $records): void
    {
        $this->decision = $records->namedOrNull(Decision::class, is_string($row['decision'] ?? null) ? $row['decision'] : null, 'decision');
    }

    public function settledBy(Decision $decision): void
    {
        $this->decision = $decision;
    }

    public function failure(): ?Failure
    {
        return $this->failure;
    }

    public function choice(): Choice
    {
        return $this->choice;
    }

    public function cost(): string
    {
        return $this->cost;
    }

    /** @return list<ExpectedEffect> */
    public function effects(): array
    {
        return Stored::list(ExpectedEffect::class, $this->effects);
    }
}
