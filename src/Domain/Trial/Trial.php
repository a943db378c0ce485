<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Lustrum\Core\CoreException;
use Lustrum\Core\Judging\FirstStage;
use Lustrum\Core\Plan\Layout;
use Lustrum\Core\Plan\PlanKind;
use Lustrum\Core\Plan\SettingSearch;
use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Run\Channel;
use Lustrum\Core\Run\Row;
use Lustrum\Core\Run\SettingRule;
use Lustrum\Core\Wording\Messages;
use Lustrum\Domain\Method\Method;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Shared\Doctrine\TextsType;
use Lustrum\Shared\Instant;
use Lustrum\Shared\Refusal\Invalid;
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

    /** @var list<SignOff> in the order that the method asks for */
    #[ORM\Column(type: SignOffsType::NAME)]
    private array $signOffs = [];

    #[ORM\Column(type: SignOffType::NAME, nullable: true)]
    private ?SignOff $override = null;

    /** Key of the channel whose mean is to be known to a half-width; empty: the planned number of runs is all there is. */
    #[ORM\Column(length: 40)]
    private string $untilChannel = '';

    /** The half-width, with the unit of the channel. */
    #[ORM\Column(length: 120)]
    private string $untilWidth = '';

    /** @var list<string> weather, a season, a part, a person, a permit */
    #[ORM\Column(type: TextsType::NAME)]
    private array $waitsFor = [];

    /** @var list<Found> by person, what they would have chosen before the first result */
    #[ORM\Column(type: FoundType::NAME)]
    private array $favourites = [];

    #[ORM\Column(type: LayoutType::NAME, nullable: true)]
    private ?Layout $layout = null;

    /** How often its answer was opened with new runs, from the one on where the planned number had ended. */
    #[ORM\Column]
    private int $looks = 0;

    /** Runs that had ended when it was opened last. */
    #[ORM\Column]
    private int $looked = 0;

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        $new = new self();
        $new->revision = $records->named(Revision::class, $input->revision, 'revision');
        $new->method = $records->named(Method::class, $input->method, 'method');

        return $new->beginUnder($id, $new->revision);
    }

    public function take(RecordInput $input, Records $records): void
    {
        $this->name = trim($input->name);
        $this->question = $input->question;
        $this->plannedRuns = $input->plannedRuns;
        $this->repeats = $input->repeats;
        $this->state = $input->state;
        $this->signOffs = $this->agreed($input->signOffs);
        $this->override = $input->override;
        $this->waitsFor = $input->waitsFor;
        $this->favour($input->favourites, $records);
        $this->lay($input->layout);
        $this->until(trim($input->untilChannel), trim($input->untilWidth));
    }

    /**
     * Afterwards nobody can say what they would have chosen.
     *
     * @param list<Found> $favourites
     */
    private function favour(array $favourites, Records $records): void
    {
        $favourites = array_values(array_filter($favourites, static fn (Found $f): bool => trim($f->name) !== '' && trim($f->text) !== ''));
        if ($favourites == $this->favourites) {
            return;
        }
        foreach ($this->isWritten() ? $records->all(Run::class, ['trial' => $this]) : [] as $run) {
            if ($run->outcome() !== null) {
                throw Invalid::at(
                    'favourites',
                    'There are results by now. Who favoured what is said before the first one, and stays as it was.',
                );
            }
        }
        $this->favourites = $favourites;
    }

    /** @throws Invalid at the field that is wrong */
    private function lay(?LayoutInput $input): void
    {
        $this->layout = $input?->layout();
        if ($this->layout === null) {
            return;
        }
        try {
            $slots = $this->layout->slots($this->method->factors());
        } catch (CoreException $e) {
            throw Invalid::at('layout.'.$e->path, $e->getMessage());
        }
        if ($this->layout->kind === PlanKind::Setting && !SettingSearch::isOpen($this->method->setting($this->layout->setting))) {
            throw Invalid::at('layout.setting', 'Which setting of the method? It has to say from where to where it goes.');
        }
        if ($this->layout->kind === PlanKind::Checks && $this->method->questions() === []) {
            throw Invalid::at('layout.kind', 'A check list goes through the questions of its method, and it asks none yet.');
        }
        if ($this->layout->kind->isLaidOut()) {
            $this->plannedRuns = count($slots);
        }
    }

    /** Does what its runs read tell how many it takes? */
    public function isUntilSure(): bool
    {
        return $this->untilWidth !== '';
    }

    /** The setting that its runs are to find; null where they find none. */
    public function finds(): ?SettingRule
    {
        return $this->layout?->kind === PlanKind::Setting ? $this->method->setting($this->layout->setting) : null;
    }

    /** @return list<string> what has to come before its next run */
    public function waitsFor(): array
    {
        return $this->waitsFor;
    }

    public function layout(): ?Layout
    {
        return $this->layout;
    }

    private function until(string $key, string $width): void
    {
        [$this->untilChannel, $this->untilWidth] = ['', ''];
        if ($width === '') {
            return;
        }
        $read = array_values(array_filter($this->method->channels(), static fn (Channel $c): bool => !$c->isDerived()));
        $channel = array_values(array_filter($read, static fn (Channel $c): bool => $c->key === $key || ($key === '' && count($read) === 1)))[0]
            ?? throw Invalid::at('untilChannel', 'Which channel? Its method reads none of that name.');
        try {
            $half = Quantity::typedBeside(ltrim($width, '± '), $channel->unit)->differenceTo($channel->unit);
        } catch (CoreException $wrong) {
            throw Invalid::at('untilWidth', $wrong->getMessage());
        }
        if ($half <= 0) {
            throw Invalid::at('untilWidth', 'A half-width is above nought.');
        }
        if ($this->plannedRuns < FirstStage::FEWEST) {
            throw Invalid::at('plannedRuns', 'The first stage takes three runs at least.');
        }
        [$this->untilChannel, $this->untilWidth] = [$channel->key, Digits::short($half).' '.$channel->unit];
    }

    public function restore(array $row, Records $records): void
    {
        foreach (Row::rows($row['signOffs'] ?? []) as $i => $kept) {
            if (isset($this->signOffs[$i]) && Row::text($kept['at'] ?? '') !== '') {
                $this->signOffs[$i] = SignOff::fromRow($kept);
            }
        }
        $this->signOffs = array_values($this->signOffs);
        [$this->looks, $this->looked] = [max(0, Row::whole($row['looks'] ?? 0)), max(0, Row::whole($row['looked'] ?? 0))];
    }

    public function extra(): array
    {
        return ['looks' => $this->looks, 'looked' => $this->looked];
    }

    /** What older files say: one sign-off, or none. */
    public static function asTyped(array $row): array
    {
        return $row + ['signOffs' => is_array($row['signOff'] ?? null) ? [$row['signOff']] : []];
    }

    /**
     * @param list<SignOff> $sent
     *
     * @return list<SignOff>
     *
     * @throws Invalid where somebody agrees before their turn
     */
    private function agreed(array $sent): array
    {
        $stood = fn (SignOff $s): ?SignOff => array_values(array_filter(
            $this->signOffs, static fn (SignOff $o): bool => $o->isAs($s->as) && $o->by === $s->by,
        ))[0] ?? null;
        $out = array_map(static fn (SignOff $s): SignOff => $s->after($stood($s)), $sent);
        // Who agreed before the method asked for somebody else goes on having agreed.
        $new = array_filter($out, fn (SignOff $s): bool => !in_array($s, $this->signOffs, true));
        $waits = '';
        foreach ($this->method->safety()->agreedBy as $role) {
            $has = array_filter($out, static fn (SignOff $s): bool => $s->isAs($role)) !== [];
            if ($waits !== '' && array_filter($new, static fn (SignOff $s): bool => $s->isAs($role)) !== []) {
                throw Invalid::at('signOffs', sprintf('In this order: %s agrees before %s does.', $waits, $role));
            }
            $waits = $has || $waits !== '' ? $waits : $role;
        }

        return $out;
    }

    /** Who has to agree next; null where everybody has. Empty: anybody. */
    public function agreesNext(): ?string
    {
        $safety = $this->method->safety();
        $roles = $safety->agreedBy === [] && $safety->needsSignOff ? [''] : $safety->agreedBy;
        foreach ($roles as $role) {
            if (array_filter($this->signOffs, static fn (SignOff $s): bool => $s->isAs($role)) === []) {
                return $role;
            }
        }

        return null;
    }

    public function view(): TrialView
    {
        return new TrialView(
            $this->id()->toRfc4122(), $this->version(), $this->revision->id()->toRfc4122(), $this->method->id()->toRfc4122(),
            $this->name, $this->question, $this->plannedRuns, $this->repeats, $this->state, $this->signOffs, $this->override,
            $this->untilChannel, $this->untilWidth, Instant::write($this->createdAt()),
            $this->layout === null ? null : LayoutView::of($this->layout), $this->waitsFor, $this->favourites,
        );
    }

    public function build(): Uuid
    {
        return $this->revision->id();
    }

    /**
     * @param \DateTimeImmutable|null $changed when method or design were last changed
     *
     * @throws Invalid when the method's safety asks for something that is not there
     */
    public function mustBeSafeToRun(?\DateTimeImmutable $changed): void
    {
        $safety = $this->method->safety();
        $next = $this->agreesNext();
        if ($next !== null) {
            throw Invalid::at('signOffs', $next === ''
                ? 'This method puts a person at risk. Record who agreed to it before the first run; local rules and licensed practice come first.'
                : sprintf('%s must agree before the first run. Record who did; local rules and licensed practice come first.', Messages::begin($next)));
        }
        foreach ($safety->agreedBy === [] && !$safety->needsSignOff ? [] : $this->signOffs as $signed) {
            // What was changed later nobody has agreed to.
            if ($signed->at !== '' && $changed > new \DateTimeImmutable($signed->at)) {
                throw Invalid::at('signOffs', sprintf(
                    'The method or the build was changed since %s agreed to it. Let it be agreed to again before the next run.',
                    $signed->by,
                ));
            }
        }
        if ($this->lacksLimits()) {
            throw Invalid::at(
                'override',
                'The method does not say when to stop. Fill in its abort criteria, or let a named person start it without, with a reason.',
            );
        }
    }

    /** Does its method not say when to stop, and nobody started it without by name? */
    public function lacksLimits(): bool
    {
        return trim($this->method->safety()->abort) === '' && $this->override === null;
    }

    public function state(): TrialState
    {
        return $this->state;
    }

    /** Runs of it became another build's: it keeps what is left, and is done where nothing is. */
    public function gaveAway(int $left): void
    {
        [$this->plannedRuns, $this->state] = [min($this->plannedRuns, $left), $left === 0 ? TrialState::Done : $this->state];
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
}
