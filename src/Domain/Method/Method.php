<?php

declare(strict_types=1);

namespace Lustrum\Domain\Method;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Lustrum\Core\Plan\Minutes;
use Lustrum\Core\Run\Amount;
use Lustrum\Core\Run\Channel;
use Lustrum\Core\Run\Condition;
use Lustrum\Core\Run\Constant;
use Lustrum\Core\Run\Factor;
use Lustrum\Core\Run\HeldBefore;
use Lustrum\Core\Run\LookOut;
use Lustrum\Core\Run\MethodChanges;
use Lustrum\Core\Run\MethodState;
use Lustrum\Core\Run\Question;
use Lustrum\Core\Run\Row;
use Lustrum\Core\Run\SettingRule;
use Lustrum\Core\Run\UsedUp;
use Lustrum\Core\Run\Wait;
use Lustrum\Domain\Device\Device;
use Lustrum\Domain\Device\Metric;
use Lustrum\Domain\Device\UseCase;
use Lustrum\Domain\Device\UseStep;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Shared\AmountInput;
use Lustrum\Shared\Doctrine\AmountsType;
use Lustrum\Shared\Doctrine\TextsType;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Refusal\Invalid;
use Symfony\Component\Uid\Uuid;

/**
 * How a kind of trial is done. Its record version is the method version that runs are made with.
 *
 * @extends Record<MethodInput>
 */
#[ORM\Entity]
class Method extends Record
{
    #[ORM\ManyToOne]
    #[ORM\JoinColumn(nullable: false)]
    private Device $device;

    #[ORM\Column(length: 120)]
    private string $name = '';

    #[ORM\Column(type: Types::TEXT)]
    private string $purpose = '';

    #[ORM\Column(length: 120)]
    private string $rig = '';

    #[ORM\Column(type: Types::TEXT)]
    private string $heldWhen = '';

    #[ORM\Column(type: Types::TEXT)]
    private string $endPoint = '';

    #[ORM\Column(type: Types::TEXT)]
    private string $notRepresented = '';

    #[ORM\Column]
    private float $minutes = 10.0;

    /** @var list<Channel> */
    #[ORM\Column(type: ChannelsType::NAME)]
    private array $channels = [];

    /** @var list<Condition> */
    #[ORM\Column(type: ConditionsType::NAME)]
    private array $conditions = [];

    /** @var list<SettingRule> */
    #[ORM\Column(type: SettingRulesType::NAME)]
    private array $settings = [];

    /** @var list<Factor> */
    #[ORM\Column(type: FactorsType::NAME)]
    private array $factors = [];

    /** @var list<Question> */
    #[ORM\Column(type: QuestionsType::NAME)]
    private array $questions = [];

    /** @var list<string> */
    #[ORM\Column(type: TextsType::NAME)]
    private array $modes = [];

    #[ORM\Column]
    private bool $wears = true;

    /** @var list<string> */
    #[ORM\Column(type: TextsType::NAME)]
    private array $represents = [];

    /** @var list<string> identifiers of steps of use that its runs go through */
    #[ORM\Column(type: TextsType::NAME)]
    private array $steps = [];

    #[ORM\Column]
    private bool $inUse = false;

    #[ORM\Column(type: SafetyType::NAME)]
    private Safety $safety;

    /** Counts states between which results are not simply alike; runs are made with one. */
    #[ORM\Column]
    private int $edition = 1;

    /** @var list<Constant> */
    #[ORM\Column(type: ConstantsType::NAME)]
    private array $constants = [];

    /** @var list<string> */
    #[ORM\Column(type: TextsType::NAME)]
    private array $tools = [];

    /** Serial of an article that is tried first and last. */
    #[ORM\Column(length: 120)]
    private string $reference = '';

    #[ORM\Column]
    private float $setUpMinutes = 0.0;

    #[ORM\Column]
    private float $resetMinutes = 0.0;

    #[ORM\Column]
    private float $changeMinutes = 0.0;

    /** The use that it rehearses. */
    #[ORM\ManyToOne]
    private ?UseCase $use = null;

    /** @var list<Amount> what it carries of that use */
    #[ORM\Column(type: AmountsType::NAME)]
    private array $carries = [];

    /** @var list<HeldBefore> */
    #[ORM\Column(name: 'held_before', type: HeldBeforesType::NAME)]
    private array $before = [];

    /** @var list<Wait> */
    #[ORM\Column(type: WaitsType::NAME)]
    private array $ready = [];

    /** @var list<LookOut> */
    #[ORM\Column(type: LookOutsType::NAME)]
    private array $looks = [];

    /** @var list<UsedUp> */
    #[ORM\Column(type: UsedUpsType::NAME)]
    private array $usesUp = [];

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        $new = new self();
        $new->device = $records->named(Device::class, $input->device, 'device');

        return $new->beginUnder($id, $new->device);
    }

    public function take(RecordInput $input, Records $records): void
    {
        $was = $this->isWritten() ? $this->state() : null;
        $this->constants = SoundChannels::constants($input->constants, $input->channels);
        $channels = SoundChannels::of($input->channels, $this->constants);
        $this->name = trim($input->name);
        $this->purpose = $input->purpose;
        $this->rig = trim($input->rig);
        $this->heldWhen = $input->heldWhen;
        $this->endPoint = $input->endPoint;
        $this->notRepresented = $input->notRepresented;
        $this->minutes = $input->minutes;
        $this->conditions = array_map(static fn (ConditionInput $c): Condition => $c->condition(), $input->conditions);
        $this->settings = array_map(static fn (SettingRuleInput $s): SettingRule => $s->rule(), $input->settings);
        $this->safety = $input->safety;
        $this->factors = SoundFactors::of($input->factors);
        $this->questions = $this->asked($input->questions, $records);
        $this->modes = $input->modes;
        $this->wears = $input->wears;
        $this->represents = $input->represents;
        $this->steps = $records->identifiers(UseStep::class, $input->steps, 'steps', $this->device->id());
        $this->inUse = $input->inUse;
        $this->channels = array_map(
            fn (Channel $c): Channel => $c->measuring(Metric::named($c->metric, $c->unit, $this->device, $records)->id()->toRfc4122()),
            $channels,
        );
        $this->takeConduct($input, $records);
        if ($was !== null && MethodChanges::breaks($was, $this->state())) {
            ++$this->edition;
        }
    }

    /** How it is gone about, which no result rests on. */
    private function takeConduct(MethodInput $input, Records $records): void
    {
        $this->tools = $input->tools;
        $this->reference = trim($input->reference);
        [$this->setUpMinutes, $this->resetMinutes, $this->changeMinutes] = [
            $input->setUpMinutes, $input->resetMinutes, $input->changeMinutes,
        ];
        $this->use = $records->namedOrNull(UseCase::class, $input->use, 'use');
        if ($this->use !== null && $this->use->device() !== $this->device) {
            throw Invalid::at('use', 'That is a use of another device.');
        }
        $this->carries = AmountInput::amounts($input->carries, 'carries');
        $this->before = array_map(static fn (HeldBeforeInput $b): HeldBefore => $b->held(), $input->before);
        $this->ready = array_map(static fn (WaitInput $w): Wait => $w->wait(), $input->ready);
        $this->looks = array_map(static fn (LookOutInput $l): LookOut => $l->lookOut(), $input->looks);
        $this->usesUp = array_map(static fn (UsedUpInput $u): UsedUp => $u->usedUp(), $input->usesUp);
    }

    /** What results rest on. */
    public function state(): MethodState
    {
        return new MethodState(
            $this->rig, $this->heldWhen, $this->endPoint, $this->channels, $this->constants, $this->questions, $this->factors,
            $this->conditions,
            $this->settings,
        );
    }

    public function restore(array $row, Records $records): void
    {
        // Before there were editions, runs were made with the version of the record.
        $origin = is_array($row['origin'] ?? null) ? $row['origin'] : [];
        $this->edition = max(1, Row::whole($row['edition'] ?? $origin['version'] ?? 1));
    }

    /**
     * @param list<QuestionInput> $inputs
     *
     * @return list<Question>
     */
    private function asked(array $inputs, Records $records): array
    {
        $out = $keys = $metrics = [];
        foreach ($inputs as $i => $input) {
            $question = $input->question($keys);
            $question = $question->showing(Metric::named($question->metric, '', $this->device, $records)->id()->toRfc4122());
            if (in_array($question->key, $keys, true)) {
                throw Invalid::at(sprintf('questions[%d].key', $i), 'Two questions cannot have the same short name.');
            }
            if (in_array($question->metric, $metrics, true)) {
                throw Invalid::at(
                    sprintf('questions[%d].metric', $i), 'One question a metric: a run that held in one would have failed in it.',
                );
            }
            [$keys[], $metrics[], $out[]] = [$question->key, $question->metric, $question];
        }

        return $out;
    }

    /** A hazard that nobody had thought of, and when to stop. */
    public function minds(string $hazard, string $stop): void
    {
        $safety = $this->safety;
        $abort = $safety->hazards === [] ? $stop : trim($safety->abort.' '.$stop);
        $this->safety = new Safety([...$safety->hazards, $hazard], $safety->cautions, $abort, $safety->needsSignOff, $safety->agreedBy);
    }

    /**
     * What a run was found to read, and to be made at; a channel's metric is its name.
     *
     * @param list<Channel> $channels
     * @param list<Factor>  $factors
     */
    public function learns(array $channels, array $factors, Records $records): void
    {
        $this->channels = [...$this->channels, ...array_map(
            fn (Channel $c): Channel => $c->measuring(Metric::named($c->metric, $c->unit, $this->device, $records)->id()->toRfc4122()),
            $channels,
        )];
        $this->factors = [...$this->factors, ...$factors];
        foreach (['channels' => $this->channels, 'factors' => $this->factors] as $field => $list) {
            if (count($list) > Limit::LIST) {
                throw Invalid::at($field, sprintf('At most %d of them.', Limit::LIST));
            }
        }
    }

    public function view(): MethodView
    {
        return new MethodView(
            $this->id()->toRfc4122(), $this->version(), $this->device->id()->toRfc4122(), $this->name, $this->purpose, $this->rig,
            $this->heldWhen, $this->endPoint, $this->notRepresented, $this->minutes,
            array_map(fn (Channel $c): ChannelView => ChannelView::of($c, $this->device), $this->channels),
            $this->conditions, $this->settings, $this->factors,
            array_map(fn (Question $q): QuestionView => QuestionView::of($q, $this->device), $this->questions), $this->modes, $this->wears,
            $this->represents, $this->steps, $this->inUse, $this->safety, $this->edition, $this->constants, $this->tools, $this->reference,
            $this->setUpMinutes, $this->resetMinutes, $this->changeMinutes, $this->use?->id()->toRfc4122(), $this->carries,
            array_map(HeldBeforeView::of(...), $this->before), $this->ready, $this->looks, $this->usesUp,
        );
    }

    public function device(): Device
    {
        return $this->device;
    }

    public function name(): string
    {
        return $this->name;
    }

    public function rig(): string
    {
        return $this->rig;
    }

    public function heldWhen(): string
    {
        return $this->heldWhen;
    }

    /** @return list<Factor> */
    public function factors(): array
    {
        return $this->factors;
    }

    /** @return list<Question> */
    public function questions(): array
    {
        return $this->questions;
    }

    public function wears(): bool
    {
        return $this->wears;
    }

    /** @return list<string> names of methods */
    public function represents(): array
    {
        return $this->represents;
    }

    /** @return list<string> identifiers of steps of use */
    public function steps(): array
    {
        return $this->steps;
    }

    public function isInUse(): bool
    {
        return $this->inUse;
    }

    /** @return list<Channel> */
    public function channels(): array
    {
        return $this->channels;
    }

    /** @return list<Condition> */
    public function conditions(): array
    {
        return $this->conditions;
    }

    /** @return list<SettingRule> */
    public function settings(): array
    {
        return $this->settings;
    }

    public function edition(): int
    {
        return $this->edition;
    }

    /** @return list<Constant> */
    public function constants(): array
    {
        return $this->constants;
    }

    /** @return list<HeldBefore> */
    public function before(): array
    {
        return $this->before;
    }

    /** @return list<Wait> what has to be over before a run begins */
    public function ready(): array
    {
        return $this->ready;
    }

    /** @return list<LookOut> */
    public function looks(): array
    {
        return $this->looks;
    }

    /** @return list<string> */
    public function tools(): array
    {
        return $this->tools;
    }

    /** @return list<UsedUp> by one run */
    public function usesUp(): array
    {
        return $this->usesUp;
    }

    public function minutes(): Minutes
    {
        return new Minutes($this->setUpMinutes, $this->minutes, $this->resetMinutes, $this->changeMinutes);
    }

    public function useCase(): ?UseCase
    {
        return $this->use;
    }

    /** @return list<Amount> */
    public function carries(): array
    {
        return $this->carries;
    }

    public function setting(string $name): ?SettingRule
    {
        return array_column($this->settings, null, 'name')[$name] ?? null;
    }

    public function safety(): Safety
    {
        return $this->safety;
    }
}
