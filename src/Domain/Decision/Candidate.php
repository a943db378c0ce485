<?php

declare(strict_types=1);

namespace Lustrum\Domain\Decision;

use Brick\Math\BigDecimal;
use Brick\Math\RoundingMode;
use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Lustrum\Core\Change\ChangeClass;
use Lustrum\Core\Change\Expectation;
use Lustrum\Core\Judging\Proposal;
use Lustrum\Core\Wording\ChangeWords;
use Lustrum\Core\Wording\DecisionWords;
use Lustrum\Domain\Change\EffectsType;
use Lustrum\Domain\Change\ExpectedEffect;
use Lustrum\Domain\Device\Metric;
use Lustrum\Domain\Device\Requirement;
use Lustrum\Domain\Finding\Failure;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Shared\Doctrine\MoneyType;
use Lustrum\Shared\Doctrine\TextsType;
use Lustrum\Shared\Refusal\Invalid;
use Lustrum\Shared\Refusal\Settled;
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

    #[ORM\Column(type: MoneyType::NAME, precision: 12, scale: 2)]
    private BigDecimal $cost;

    #[ORM\Column]
    private float $hours = 0.0;

    /** @var list<ExpectedEffect> each naming its metric by identifier */
    #[ORM\Column(type: EffectsType::NAME)]
    private array $effects = [];

    #[ORM\Column(length: 10)]
    private CandidateSource $source = CandidateSource::Team;

    #[ORM\Column(length: 120)]
    private string $askedBy = '';

    /** @var list<string> identifiers of failures */
    #[ORM\Column(type: TextsType::NAME)]
    private array $failures = [];

    /** @var list<string> identifiers of requirements */
    #[ORM\Column(type: TextsType::NAME)]
    private array $requirements = [];

    /** @var list<Alteration> */
    #[ORM\Column(type: AlterationsType::NAME)]
    private array $alters = [];

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

        return $new->beginUnder($id, $new->revision);
    }

    public function take(RecordInput $input, Records $records): void
    {
        if ($this->decision !== null) {
            throw Settled::candidate();
        }
        if ($input->choice !== Choice::Open && trim($input->reason) === '') {
            throw Invalid::at('reason', match ($input->choice) {
                Choice::In => 'Say why it goes in.',
                Choice::Wait => 'Say what it waits for.',
                default => 'Say why it is dropped, and what would bring it back.',
            });
        }
        $this->what = trim($input->what);
        $this->why = $input->why;
        $this->class = $input->class;
        $this->cost = BigDecimal::of((string) $input->cost)->toScale(2, RoundingMode::HalfUp);
        $this->hours = $input->hours;
        $this->source = $input->source;
        $this->askedBy = trim($input->askedBy);
        $of = $this->revision->belongsTo();
        $this->failures = $records->identifiers(Failure::class, $input->failures, 'failures', $of);
        $this->requirements = $records->identifiers(Requirement::class, $input->requirements, 'requirements', $of);
        $this->alters = $input->alters;
        $this->choice = $input->choice;
        $this->reason = $input->reason;
        $this->effects = ExpectedEffect::kept($input->effects, $this->revision->device(), $records);
    }

    public function build(): Uuid
    {
        return $this->revision->id();
    }

    public function view(): CandidateView
    {
        $device = $this->revision->device();

        return new CandidateView(
            $this->id()->toRfc4122(), $this->version(), $this->revision->id()->toRfc4122(), $this->what, $this->why, $this->class,
            $this->cost->toFloat(), $this->hours, (string) $this->cost, DecisionWords::hours($this->hours),
            array_map(
                static fn (ExpectedEffect $e): string => ChangeWords::expected($e->asFact(), $device->metricName($e->metric)),
                $this->effects,
            ),
            array_map(static fn (ExpectedEffect $e): ExpectedEffect => $e->on($device->metricName($e->metric)), $this->effects),
            $this->source, $this->askedBy, $this->failures, $this->requirements, $this->alters, $this->choice, $this->reason,
            $this->decision?->id()->toRfc4122(), $this->createdBy(),
        );
    }

    public function restore(array $row, Records $records): void
    {
        $this->decision = $records->namedOrNull(Decision::class, is_string($row['decision'] ?? null) ? $row['decision'] : null, 'decision');
    }

    public function settledBy(Decision $decision): void
    {
        $this->decision = $decision;
    }

    /** @return list<string> identifiers of failures that it answers */
    public function failures(): array
    {
        return $this->failures;
    }

    public function choice(): Choice
    {
        return $this->choice;
    }

    public function proposal(): Proposal
    {
        return new Proposal($this->what, (string) $this->cost, $this->hours, array_map(
            static fn (ExpectedEffect $e): Expectation => $e->asFact(), $this->effects,
        ), $this->requirements);
    }

    public function withdraw(string $because): void
    {
        if ($this->decision !== null) {
            throw Settled::candidate();
        }
        parent::withdraw($because);
    }

    public function isSettled(): bool
    {
        return $this->decision !== null;
    }

    public function what(): string
    {
        return $this->what;
    }
}
