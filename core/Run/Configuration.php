<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

/**
 * Everything that a run was made with and is judged by, frozen at its start, so that later edits cannot rewrite history.
 *
 * What the article had been through is not part of it: runs in a row would share nothing. It stands in the run.
 */
final readonly class Configuration implements \JsonSerializable
{
    /**
     * @param list<Parameter>       $parameters
     * @param list<Part>            $parts
     * @param array<string, string> $lots          material => lot
     * @param list<Channel>         $channels
     * @param list<Condition>       $conditions    that were to be recorded
     * @param list<SettingRule>     $settings      that were to be read off
     * @param list<Factor>          $factors       that were varied on purpose, or pair the runs
     * @param list<Question>        $questions     that were asked of each run
     * @param list<Deviation>       $deviants      how the article differs from its build, one by one
     * @param list<Constant>        $constants     of the fixture, which formulas take
     * @param bool                  $ownFirmware   was the firmware typed on the run, and is not its build's?
     * @param list<Constant>        $empties       what the rig read by itself before and after, which formulas take off
     * @param string                $arm           variant within the build that the article is of; empty where there are none
     * @param bool                  $wears         does a run leave its mark on the article?
     * @param list<string>          $represents    identifiers of methods that this one is as good as
     * @param Filled|null           $filled        null: frozen whole when the run began
     */
    public function __construct(
        public string $revision,
        public string $letter,
        public string $firmware,
        public array $parameters,
        public array $parts,
        public ?string $article,
        public string $serial,
        public string $articleState,
        public string $deviations,
        public array $lots,
        public string $method,
        public string $methodName,
        public int $methodVersion,
        public string $rig,
        public array $channels,
        public array $conditions,
        public array $settings,
        public string $heldWhen = '',
        public ?Filled $filled = null,
        public array $factors = [],
        public array $questions = [],
        public bool $wears = true,
        public array $represents = [],
        public array $deviants = [],
        public string $arm = '',
        public array $constants = [],
        public array $empties = [],
        public bool $ownFirmware = false,
    ) {
    }

    /**
     * Most take nothing off, and have the firmware of their build: what says nothing changes no hash.
     *
     * @return array<string, mixed>
     */
    public function jsonSerialize(): array
    {
        $row = get_object_vars($this);

        return array_diff_key($row, array_filter(['empties' => $this->empties === [], 'ownFirmware' => !$this->ownFirmware]));
    }

    /** @param list<Constant> $empties */
    public function takingOff(array $empties): self
    {
        return self::fromRow(['empties' => array_map(get_object_vars(...), $empties)] + $this->toRow());
    }

    public function channel(string $key): ?Channel
    {
        foreach ($this->channels as $channel) {
            if ($channel->key === $key) {
                return $channel;
            }
        }

        return null;
    }

    /** @return list<string> all that it reads, works out or asks for */
    public function metrics(): array
    {
        $of = [...array_column($this->channels, 'metric'), ...array_column($this->questions, 'metric')];

        return array_values(array_unique(array_filter($of, static fn (string $metric): bool => $metric !== '')));
    }

    /** @return list<string> metrics that a reading of this channel bears on: its own, and what is worked out from it */
    public function metricsFrom(string $key): array
    {
        $of = array_filter($this->channels, static fn (Channel $c): bool => $c->key === $key || str_contains($c->formula, $key));
        $isKnown = in_array($key, array_column($this->channels, 'key'), true);

        return $isKnown ? array_values(array_unique(array_filter(array_column($of, 'metric')))) : $this->metrics();
    }

    /**
     * What was said of a part or a parameter of this article that is otherwise than its build's; null: nothing, and it is its build's.
     */
    public function deviation(DeviationKind $kind, string $name): ?Deviation
    {
        foreach ($this->deviants as $deviation) {
            if ($deviation->kind === $kind && Deviation::tidy($deviation->name) === Deviation::tidy($name)) {
                return $deviation;
            }
        }

        return null;
    }

    /** @return list<Deviation> of the article, and the firmware that was typed on the run, which is none of its build */
    public function otherwise(): array
    {
        $isSaid = $this->deviation(DeviationKind::Firmware, 'firmware') !== null;

        return !$this->ownFirmware || $isSaid ? $this->deviants : [...$this->deviants, Deviation::firmware($this->firmware)];
    }

    /** Metric that a question asks for; empty: none by that key. */
    public function asked(string $key): string
    {
        return array_column($this->questions, 'metric', 'key')[$key] ?? '';
    }

    public function question(string $metric): ?Question
    {
        foreach ($this->questions as $question) {
            if ($question->metric === $metric) {
                return $question;
            }
        }

        return null;
    }

    /**
     * What was stored before methods had questions: one metric that a run which held shows.
     *
     * @param array<array-key, mixed> $row
     *
     * @return list<array<string, string>>
     */
    private static function oldQuestion(array $row): array
    {
        $metric = Row::text($row['outcomeMetric'] ?? '');

        return $metric === '' ? [] : [['key' => 'held', 'metric' => $metric, 'text' => Row::text($row['heldWhen'] ?? '')]];
    }

    /** @param array<array-key, mixed> $row as toRow() gives it */
    public static function fromRow(array $row): self
    {
        $lots = Row::map($row['lots'] ?? []);
        ksort($lots);

        return new self(
            Row::text($row['revision'] ?? ''), Row::text($row['letter'] ?? ''), Row::text($row['firmware'] ?? ''),
            array_map(Parameter::fromRow(...), Row::rows($row['parameters'] ?? [])),
            array_map(Part::fromRow(...), Row::rows($row['parts'] ?? [])),
            Row::textOrNull($row['article'] ?? null), Row::text($row['serial'] ?? ''), Row::text($row['articleState'] ?? ''),
            Row::text($row['deviations'] ?? ''), $lots,
            Row::text($row['method'] ?? ''), Row::text($row['methodName'] ?? ''), max(1, Row::whole($row['methodVersion'] ?? 1)),
            Row::text($row['rig'] ?? ''), array_map(Channel::fromRow(...), Row::rows($row['channels'] ?? [])),
            array_map(Condition::fromRow(...), Row::rows($row['conditions'] ?? [])),
            array_map(SettingRule::fromRow(...), Row::rows($row['settings'] ?? [])),
            Row::text($row['heldWhen'] ?? ''), Filled::tryFrom(Row::text($row['filled'] ?? '')),
            array_map(Factor::fromRow(...), Row::rows($row['factors'] ?? [])),
            array_map(Question::fromRow(...), Row::rows($row['questions'] ?? self::oldQuestion($row))), ($row['wears'] ?? true) !== false,
            Row::texts($row['represents'] ?? []), array_map(Deviation::fromRow(...), Row::rows($row['deviants'] ?? [])),
            Row::text($row['arm'] ?? ''), array_map(Constant::fromRow(...), Row::rows($row['constants'] ?? [])),
            array_map(Constant::fromRow(...), Row::rows($row['empties'] ?? [])), (bool) ($row['ownFirmware'] ?? false),
        );
    }

    /** @return array<string, mixed> plain values, in a fixed order */
    public function toRow(): array
    {
        /** @var array<string, mixed> $row */
        $row = json_decode(json_encode($this, \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION), true, 64, \JSON_THROW_ON_ERROR);

        return $row;
    }

    /** Runs with the same content share one stored configuration under this key. */
    public function hash(): string
    {
        return hash('sha256', json_encode($this, \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION));
    }
}
