<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Lustrum\Core\CoreException;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Quantity\Typed;
use Lustrum\Core\Quantity\Units;
use Lustrum\Core\Run\Condition;
use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\Ended;
use Lustrum\Core\Run\Factor;
use Lustrum\Core\Run\FactorKind;
use Lustrum\Core\Run\Purpose;
use Lustrum\Core\Run\RunOutcome;
use Lustrum\Core\Run\SettingRule;
use Lustrum\Core\Setting\SettingResult;
use Lustrum\Domain\Revision\Article;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Shared\Doctrine\InstantType;
use Lustrum\Shared\Doctrine\TextsType;
use Lustrum\Shared\Instant;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Refusal\Invalid;
use Symfony\Component\Uid\Uuid;

/**
 * One execution in a trial. Numbered before its outcome is known; none disappears.
 *
 * @extends Record<RunInput>
 */
#[ORM\Entity]
#[ORM\UniqueConstraint(name: 'run_number', columns: ['trial_id', 'number'])]
class Run extends Record
{
    #[ORM\ManyToOne]
    #[ORM\JoinColumn(nullable: false)]
    private Trial $trial;

    #[ORM\ManyToOne]
    private ?Article $article = null;

    #[ORM\Column]
    private int $number = 0;

    #[ORM\Column(length: 120)]
    private string $operator = '';

    #[ORM\Column(type: InstantType::NAME)]
    private \DateTimeImmutable $startedAt;

    /** @var list<Found> */
    #[ORM\Column(type: FoundType::NAME)]
    private array $conditions = [];

    /** @var list<Found> */
    #[ORM\Column(type: FoundType::NAME)]
    private array $settings = [];

    /** @var list<Found> */
    #[ORM\Column(type: FoundType::NAME)]
    private array $levels = [];

    #[ORM\Column(type: Types::TEXT)]
    private string $note = '';

    #[ORM\Column(length: 12, nullable: true)]
    private ?RunOutcome $outcome = null;

    #[ORM\Column(type: Types::TEXT)]
    private string $outcomeReason = '';

    #[ORM\Column(length: 10, nullable: true)]
    private ?Ended $ended = null;

    /** @var list<Answered> */
    #[ORM\Column(type: AnswersType::NAME)]
    private array $answers = [];

    #[ORM\Column(length: 12)]
    private Purpose $purpose = Purpose::FindOut;

    #[ORM\Column(length: 120)]
    private string $firmware = '';

    /** Of what was tried without an article; empty: nobody said, or its article says. */
    #[ORM\Column(length: 10)]
    private string $state = '';

    /** @var list<string> */
    #[ORM\Column(type: TextsType::NAME)]
    private array $lookedFor = [];

    /** @var list<Found> */
    #[ORM\Column(type: FoundType::NAME)]
    private array $others = [];

    #[ORM\Column(length: 120)]
    private string $person = '';

    #[ORM\Column(nullable: true)]
    private ?int $goes = null;

    #[ORM\Column(length: 300)]
    private string $differs = '';

    #[ORM\Column(length: 300)]
    private string $setAside = '';

    #[ORM\Column]
    private bool $takenIn = false;

    /** @var list<Amendment> what the outcome was before */
    #[ORM\Column(type: AmendmentsType::NAME)]
    private array $amendments = [];

    #[ORM\ManyToOne]
    #[ORM\JoinColumn(name: 'configuration', referencedColumnName: 'hash', nullable: false)]
    private ?StoredConfiguration $configuration = null;

    /** Who began it although something that must have held before had not. */
    #[ORM\Column(type: SignOffType::NAME, nullable: true)]
    private ?SignOff $ahead = null;

    /** Where the setting stood that it is to find; null: it finds none, or nobody said. */
    #[ORM\Column(length: 4, nullable: true)]
    private ?SettingResult $stands = null;

    /** @var list<Found> what its readings are expected to be, by channel */
    #[ORM\Column(type: FoundType::NAME)]
    private array $forecast = [];

    #[ORM\Column(type: InstantType::NAME, nullable: true)]
    private ?\DateTimeImmutable $clockAt = null;

    /** When its settings were looked at; null: nobody said, so not after it began. */
    #[ORM\Column(type: InstantType::NAME, nullable: true)]
    private ?\DateTimeImmutable $foundAt = null;

    /** Seconds by its clock. */
    #[ORM\Column(nullable: true)]
    private ?float $lasted = null;

    /** Seconds that the clock of the device was ahead when it began; null: nobody measured it. */
    #[ORM\Column(nullable: true)]
    private ?float $clockAhead = null;

    /** What the article had been through when the run began. */
    #[ORM\Column]
    private int $earlierRuns = 0;

    #[ORM\Column]
    private int $earlierFailures = 0;

    /** Not yet frozen: whoever begins it gives it its number and its configuration. */
    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        $new = new self();
        $new->trial = $records->named(Trial::class, $input->trial, 'trial');
        $new->startedAt = $input->startedAt === null ? new \DateTimeImmutable() : Instant::read($input->startedAt, 'startedAt');
        $new->clockAhead = $input->clockAhead;
        $new->firmware = trim($input->firmware);
        $new->ahead = $input->ahead?->after(null);
        $new->article = $records->namedOrNull(Article::class, $input->article, 'article');
        if ($new->article !== null && !$new->article->isOf($new->trial->revision())) {
            throw Invalid::at('article', 'This article was built to another revision than the trial is for.');
        }
        $new->state = $input->state;
        if ($new->article !== null && $new->state !== '') {
            throw Invalid::at('state', 'Its article says what state it is in.');
        }

        return $new->beginUnder($id, $new->trial);
    }

    public function freeze(StoredConfiguration $configuration, int $number, int $earlierRuns, int $earlierFailures): void
    {
        $this->configuration = $configuration;
        $this->number = $number;
        $this->earlierRuns = $earlierRuns;
        $this->earlierFailures = $earlierFailures;
    }

    /** Nobody had said what was tried when it began; it is said once. */
    public function wasTriedOn(string $state, StoredConfiguration $configuration): void
    {
        if ($this->article !== null) {
            throw Invalid::at('state', 'Its article says what state it is in.');
        }
        if ($this->state !== '') {
            throw Invalid::at('state', 'What was tried is said already. Void it with a reason and start another.');
        }
        [$this->state, $this->configuration] = [$state, $configuration];
    }

    /** It was another build's all along: its number, and all that was read, stay. */
    public function goesTo(Trial $trial, StoredConfiguration $configuration): void
    {
        [$this->trial, $this->configuration] = [$trial, $configuration];
    }

    /**
     * Its method asks more than when it began: what was said of it is a reading now, or a level.
     *
     * @param list<Found> $levels
     */
    public function learned(StoredConfiguration $configuration, array $levels): void
    {
        $this->configuration = $configuration;
        $new = array_column($levels, null, 'name');
        $kept = array_filter($this->levels, static fn (Found $f): bool => !isset($new[$f->name]));
        $this->levels = self::fittingLevels([...array_values($kept), ...$levels], $this->configuration()->factors);
    }

    public function take(RecordInput $input, Records $records): void
    {
        if ($input->article !== $this->article?->id()->toRfc4122()) {
            throw Invalid::at('article', 'A run belongs to the article that it was started with. Void it with a reason and start another.');
        }
        $conditions = self::fitting($input->conditions, $this->configuration()->conditions, 'conditions');
        $settings = self::fitting($input->settings, $this->configuration()->settings, 'settings');
        $levels = self::fittingLevels($input->levels, $this->configuration()->factors);
        if (trim($input->firmware) !== $this->firmware) {
            throw Invalid::at(
                'firmware', 'A run belongs to the firmware that it was started with. Void it with a reason and start another.',
            );
        }
        if ($input->state !== $this->state) {
            throw Invalid::at('state', 'What was tried is said when it begins, or once by itself. Void it with a reason and start another.');
        }
        if ($this->outcome !== null && $this->outcome !== $input->outcome) {
            throw Invalid::at('outcome', 'An outcome is not overwritten. Amend it with a reason.');
        }
        if ($input->outcome !== null && $input->outcome !== RunOutcome::Held && trim($input->outcomeReason) === '') {
            throw Invalid::at('outcomeReason', match ($input->outcome) {
                RunOutcome::Failed => 'Say in a few words what failed.',
                RunOutcome::StoppedEarly => 'Say why it was stopped: the value becomes a bound.',
                RunOutcome::Lost => 'Say how it was lost.',
                default => 'A void run keeps its number; say why it does not count.',
            });
        }
        $this->forecast = $this->soundForecast($input->forecast, $records);
        $this->clockAt = $input->clockAt === null ? null : Instant::read($input->clockAt, 'clockAt');
        $this->lasted = $input->lasted;
        $this->foundAt = $input->foundAt === null ? null : Instant::read($input->foundAt, 'foundAt');
        $this->operator = trim($input->operator);
        $this->conditions = $conditions;
        $this->settings = $settings;
        $this->levels = $levels;
        $this->answers = Answering::sound($input, $this->configuration());
        $this->ended = $input->ended;
        if ($this->isEmpty() && $this->isWritten() && $input->purpose !== Purpose::Empty) {
            throw Invalid::at(
                'purpose', 'What the rig read by itself is taken off other runs. Void this run with a reason and start another.',
            );
        }
        $this->purpose = $input->purpose;
        $this->lookedFor = $input->lookedFor;
        $this->others = $input->others;
        $this->person = trim($input->person);
        $this->goes = $input->goes;
        $this->differs = trim($input->differs);
        $this->setAside = trim($input->setAside);
        $this->takenIn = $input->takenIn;
        $this->stands = $input->stands;
        $this->note = $input->note;
        $this->outcome = $input->outcome;
        $this->outcomeReason = $input->outcomeReason;
    }

    public function view(): RunView
    {
        return new RunView(
            $this->id()->toRfc4122(), $this->version(), $this->trial->id()->toRfc4122(), $this->article?->id()->toRfc4122(), $this->number,
            $this->operator, Instant::write($this->startedAt), $this->conditions, $this->settings, $this->levels, $this->note,
            $this->outcome, $this->outcomeReason, $this->ended, $this->answers, $this->purpose, $this->firmware, $this->lookedFor,
            $this->others, $this->person, $this->goes, $this->differs, $this->setAside, $this->takenIn, $this->amendments,
            $this->configuration()->filled, $this->createdBy(),
            $this->ahead, $this->stands, $this->forecast, $this->clockAt === null ? null : Instant::write($this->clockAt), $this->lasted,
            $this->foundAt === null ? null : Instant::write($this->foundAt), $this->clockAhead,
            $this->state,
        );
    }

    public function build(): Uuid
    {
        return $this->trial->revision()->id();
    }

    public function extra(): array
    {
        return [
            'configuration' => $this->configuration?->hash(), 'earlierRuns' => $this->earlierRuns,
            'earlierFailures' => $this->earlierFailures,
        ];
    }

    public function restore(array $row, Records $records): void
    {
        $this->amendments = Amendment::readAll($row['amendments'] ?? []);
    }

    /** The amended outcome stands in the run; what it was stands in the amendment. */
    public function amendOutcome(RunOutcome $outcome, string $reason, string $by): void
    {
        if ($this->outcome === null) {
            throw Invalid::at('outcome', 'This run has no outcome yet: give it one.');
        }
        if (count($this->amendments) >= Limit::LIST) {
            throw Invalid::at('outcome', sprintf('At most %d amendments of one outcome.', Limit::LIST));
        }
        $this->amendments = [...$this->amendments, Amendment::now($this->outcome->value, $reason, $by)];
        $this->outcome = $outcome;
        $this->outcomeReason = trim($reason);
    }

    /**
     * What somebody expects is said before it is read: afterwards nobody can forecast.
     *
     * @param list<Found> $forecast
     *
     * @return list<Found>
     */
    private function soundForecast(array $forecast, Records $records): array
    {
        $forecast = array_values(array_filter($forecast, static fn (Found $f): bool => trim($f->text) !== ''));
        if ($forecast == $this->forecast) {
            return $this->forecast;
        }
        if ($this->outcome !== null || $records->all(Reading::class, ['run' => $this]) !== []) {
            throw Invalid::at('forecast', 'A forecast is locked with the first reading. It stays as it was said before.');
        }
        foreach ($forecast as $i => $one) {
            $channel = $this->configuration()->channel($one->name);
            $unit = $channel === null ? throw Invalid::at(sprintf('forecast[%d].name', $i), 'This run reads no such channel.') : $channel->unit;
            try {
                $typed = Typed::read($one->text, null, $unit);
            } catch (CoreException $e) {
                throw Invalid::at(sprintf('forecast[%d].text', $i), $e->getMessage());
            }
            if ($typed->unit !== null && !Units::fit($typed->unit->symbol, $unit)) {
                throw Invalid::at(sprintf('forecast[%d].text', $i), sprintf(
                    'This is read in %s: %s does not fit.', $unit, $typed->unit->symbol,
                ));
            }
        }

        return $forecast;
    }

    /** Was the rig run by itself? */
    public function isEmpty(): bool
    {
        return $this->purpose === Purpose::Empty;
    }

    /** Of what is tried: as its article says, else as somebody said; empty: nobody did. */
    public function articleState(): string
    {
        return $this->article?->state() ?? $this->state;
    }

    public function firmware(): string
    {
        return $this->firmware;
    }

    public function number(): int
    {
        return $this->number;
    }

    public function trial(): Trial
    {
        return $this->trial;
    }

    public function article(): ?Article
    {
        return $this->article;
    }

    public function outcome(): ?RunOutcome
    {
        return $this->outcome;
    }

    public function startedAt(): \DateTimeImmutable
    {
        return $this->startedAt;
    }

    /** When its clock was started; null: nobody did. */
    public function clockAt(): ?\DateTimeImmutable
    {
        return $this->clockAt;
    }

    public function configuration(): Configuration
    {
        return $this->configuration?->content() ?? throw new \LogicException('A run is frozen before anything is asked of it.');
    }

    /**
     * Levels as recorded, each a level of its factor, or one that nobody knows.
     *
     * @param list<Found>  $found
     * @param list<Factor> $factors
     *
     * @return list<Found>
     */
    private static function fittingLevels(array $found, array $factors): array
    {
        $rules = [];
        foreach ($factors as $factor) {
            $rules[] = new Condition($factor->name, $factor->kind === FactorKind::Number ? $factor->unit : '');
        }
        $found = self::fitting($found, $rules, 'levels');
        $known = array_column($factors, null, 'name');
        foreach ($found as $i => $one) {
            $factor = $known[$one->name] ?? null;
            if ($factor !== null && $one->recorded() && $factor->level($one->text) === null) {
                throw Invalid::at(sprintf('levels[%d].text', $i), sprintf(
                    '%s: “%s” is none of its levels%s.', $one->name, $one->text,
                    $factor->levels === [] ? '' : ' ('.implode(', ', $factor->levels).')',
                ));
            }
        }

        return $found;
    }

    /**
     * As found, each fitting its rule; a bare number is in the unit that stood beside the field.
     *
     * @param list<Found>                       $found
     * @param list<Condition>|list<SettingRule> $rules
     *
     * @return list<Found>
     */
    private static function fitting(array $found, array $rules, string $path): array
    {
        $units = [];
        foreach ($rules as $rule) {
            $units[$rule->name] = $rule->unit;
        }
        $seen = [];
        foreach ($found as $i => $one) {
            if (isset($seen[$one->name])) {
                throw Invalid::at(
                    sprintf('%s[%d].name', $path, $i), sprintf('“%s” is there twice, and one run has one of it.', $one->name),
                );
            }
            $seen[$one->name] = true;
            $unit = $units[$one->name] ?? '';
            if ($unit === '' || !$one->recorded()) {
                continue;
            }
            try {
                $quantity = Quantity::typedBeside($one->text, $unit);
                $quantity->to($unit);
            } catch (CoreException $e) {
                throw Invalid::at(sprintf('%s[%d].text', $path, $i), sprintf('%s: %s', $one->name, $e->getMessage()));
            }
            if (is_numeric(str_replace([',', '−'], ['.', '-'], trim($one->text)))) {
                $found[$i] = new Found($one->name, trim($one->text).' '.$unit);
            }
        }

        return $found;
    }
}
