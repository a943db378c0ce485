<?php

declare(strict_types=1);

namespace Lustrum\Trial;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Lustrum\Http\Problem;
use Lustrum\Method\Method;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Record\Stored;
use Lustrum\Revision\Revision;
use Symfony\Component\Uid\Uuid;

/**
 * One campaign with a method on a revision.
 *
 * @extends Record<TrialInput>
 */
#[ORM\Entity]
class Trial extends Record
{
    #[ORM\ManyToOne]
    #[ORM\JoinColumn(nullable: false)]
    private Revision $revision;

    #[ORM\ManyToOne]
    #[ORM\JoinColumn(nullable: false)]
    private Method $method;

    #[ORM\Column(length: 120)]
    private string $name = '';

    #[ORM\Column(type: Types::TEXT)]
    private string $question = '';

    #[ORM\Column]
    private int $plannedRuns = 3;

    #[ORM\Column(length: 12)]
    private RepeatPurpose $repeats = RepeatPurpose::Estimate;

    #[ORM\Column(length: 10)]
    private TrialState $state = TrialState::Planned;

    /** @var array<string, mixed>|null */
    #[ORM\Column(type: Types::JSON, nullable: true)]
    private ?array $signOff = null;

    /** @var array<string, mixed>|null */
    #[ORM\Column(type: Types::JSON, nullable: true)]
    private ?array $override = null;

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        $new = new self();
        $new->revision = $records->named(Revision::class, $input->revision, 'revision');
        $new->method = $records->named(Method::class, $input->method, 'method');
        if (!$new->method->device()->id()->equals($new->revision->device()->id())) {
            throw Problem::violation('method', 'This method belongs to another device.');
        }

        return $new->begin($id, $new->revision->workspace());
    }

    public function take(RecordInput $input, Records $records): void
    {
        $this->name = trim($input->name);
        $this->question = $input->question;
        $this->plannedRuns = $input->plannedRuns;
        $this->repeats = $input->repeats;
        $this->state = $input->state;
        $this->signOff = $input->signOff === null ? null : Stored::rows([$input->signOff])[0];
        $this->override = $input->override === null ? null : Stored::rows([$input->override])[0];
    }

    public function view(): TrialView
    {
        return new TrialView($this->id()->toRfc4122(), $this->version(), $this->revision->id()->toRfc4122(), $this->method->id()->toRfc4122(), $this->name, $this->question, $this->plannedRuns, $this->repeats, $this->state, $this->signOff(), $this->override === null ? null : Stored::one(SignOff::class, $this->override), $this->createdAt()->format(\DATE_ATOM));
    }

    /** @throws Problem when the method's safety asks for something that is not there */
    public function mustBeSafeToRun(): void
    {
        $safety = $this->method->safety();
        if ($safety->needsSignOff && $this->signOff === null) {
            throw Problem::violation('signOff', 'This method puts a person at risk. Record who agreed to it on the trial before the first run; local rules and licensed practice come first.');
        }
        if (trim($safety->abort) === '' && $this->override === null) {
            throw Problem::violation('override', 'The method does not say when to stop. Fill in its abort criteria, or let a named person start it without, with a reason.');
        }
    }

    public function began(): void
    {
        if ($this->state === TrialState::Planned) {
            $this->state = TrialState::Running;
        }
    }

    public function revision(): Revision
    {
        return $this->revision;
    }

    public function method(): Method
    {
        return $this->method;
    }

    public function name(): string
    {
        return $this->name;
    }

    private function signOff(): ?SignOff
    {
        return $this->signOff === null ? null : Stored::one(SignOff::class, $this->signOff);
    }
}
