<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Doctrine\ORM\Mapping as ORM;
use Lustrum\Core\CoreException;
use Lustrum\Core\Run\Channel;
use Lustrum\Core\Run\Row;
use Lustrum\Domain\Device\Metric;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Shared\Instant;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Measure;
use Lustrum\Shared\Refusal\Invalid;
use Symfony\Component\Uid\Uuid;

/**
 * One measured value of a run. Never overwritten: an amendment stands beside it, and the last one is current.
 *
 * @extends Record<ReadingInput>
 */
#[ORM\Entity]
#[ORM\UniqueConstraint(name: 'reading_of_channel', columns: ['run_id', 'channel'])]
class Reading extends Record
{
    #[ORM\ManyToOne]
    #[ORM\JoinColumn(nullable: false)]
    private Run $run;

    #[ORM\Column(length: 40)]
    private string $channel = '';

    #[ORM\ManyToOne]
    #[ORM\JoinColumn(nullable: false)]
    private Metric $metric;

    #[ORM\Embedded]
    private Measure $typed;

    /** The value that counts: as typed, or as last amended. */
    #[ORM\Embedded]
    private Measure $current;

    /** How the value that counts was said, where that is more than a number: 'about 60 N', '3-4 m/s', '< 8 min'. */
    #[ORM\Column(length: 120)]
    private string $said = '';

    /** The same of the value that was first typed. */
    #[ORM\Column(length: 120)]
    private string $typedSaid = '';

    /** atLeast, atMost; empty: what its channel and the end of the run say. */
    #[ORM\Column(length: 10)]
    private string $bound = '';

    /** Standard uncertainty in its unit, where one was said. */
    #[ORM\Column(nullable: true)]
    private ?float $u = null;

    /** Does nobody know its unit yet? Then it is used for nothing. */
    #[ORM\Column]
    private bool $undecided = false;

    /** @var list<Amendment> */
    #[ORM\Column(type: AmendmentsType::NAME)]
    private array $amendments = [];

    /** Kept although Lustrum asked back: what it asked. */
    #[ORM\Column(length: 300)]
    private string $confirmed = '';

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        $run = $records->named(Run::class, $input->run, 'run');
        $channel = self::channelOf($run, $input->channel);

        return self::onRun($id, $run, $channel, self::typed($input, $channel, $records), $records);
    }

    /**
     * What was typed of a channel, in words where its scale is in words.
     *
     * @throws Invalid at the field
     */
    public static function typed(ReadingInput $input, Channel $channel, Records $records): Said
    {
        $words = $records->named(Metric::class, $channel->metric, 'channel')->words();

        return self::read($input->text, $input->unit, $channel, $words, $input->undecided);
    }

    /** From what was read already. */
    public static function onRun(Uuid $id, Run $run, Channel $channel, Said $said, Records $records): self
    {
        $new = new self();
        $new->run = $run;
        $new->channel = $channel->key;
        $new->metric = $records->named(Metric::class, $channel->metric, 'channel');
        $new->typed = Measure::of($said->quantity);
        $new->typedSaid = $said->words;
        $new->counts($said);

        return $new->beginUnder($id, $run);
    }

    /**
     * The channel that is read, as the run froze it.
     *
     * @throws Invalid
     */
    public static function channelOf(Run $run, string $key): Channel
    {
        $channel = $run->configuration()->channel($key) ?? throw Invalid::at('channel', 'The run has no such channel.');

        return $channel->isDerived() ? throw Invalid::at(
            'channel', 'This is worked out from the other channels; it is not typed.',
        ) : $channel;
    }

    /**
     * The text as something that fits the channel.
     *
     * @param string       $beside    unit that stood beside the field
     * @param list<string> $words     of an ordered scale; none: it is read in numbers
     * @param bool         $undecided does nobody know its unit?
     *
     * @throws Invalid at the field
     */
    public static function read(string $text, string $beside, Channel $channel, array $words = [], bool $undecided = false): Said
    {
        if ($words !== []) {
            return Said::word($text, $words);
        }
        if ($undecided) {
            return Said::withoutUnit($text);
        }
        try {
            $said = Said::of($text, $beside);
            $quantity = $said->quantity;
            $shown = $quantity->to($channel->unit);
        } catch (CoreException $e) {
            throw Invalid::at('text', $e->getMessage());
        }
        if (!is_finite($quantity->si()) || abs($shown->value) > Limit::NUMBER) {
            throw Invalid::at('text', 'This number is larger than can be kept.');
        }

        return $said;
    }

    private function counts(Said $said): void
    {
        $this->current = Measure::of($said->quantity);
        [$this->said, $this->bound, $this->u, $this->undecided] = [$said->words, $said->bound, $said->u, $said->undecided];
    }

    public function take(RecordInput $input, Records $records): void
    {
        if ($this->isWritten()) {
            throw Invalid::at('text', 'A reading is not overwritten. Amend it with a reason; both values stay.');
        }
        $this->confirmed = $input->confirmed;
    }

    public function restore(array $row, Records $records): void
    {
        foreach (['typed', 'current'] as $name) {
            if (is_array($row[$name] ?? null)) {
                $measure = Measure::fromRow($row[$name]);
                if (!self::isWithoutUnit($row[$name])) {
                    $measure->quantity()->to($this->asked()->unit);
                }
                $name === 'typed' ? $this->typed = $this->current = $measure : $this->current = $measure;
            }
        }
        $this->amendments = Amendment::readAll($row['amendments'] ?? []);
        $this->said = Row::text($row['said'] ?? '');
        $this->typedSaid = Row::text($row['typedSaid'] ?? '');
        $this->bound = in_array($row['bound'] ?? '', ['atLeast', 'atMost'], true) ? $row['bound'] : '';
        $this->u = Row::numberOrNull($row['u'] ?? null);
        $this->undecided = ($row['undecided'] ?? false) === true;
    }

    private static function isWithoutUnit(mixed $measure): bool
    {
        return is_array($measure) && in_array($measure['unit'] ?? null, ['', '1'], true);
    }

    /** @param Said $said that fits the channel */
    public function amend(Said $said, string $reason, string $by): void
    {
        if (count($this->amendments) >= Limit::LIST) {
            throw Invalid::at('text', sprintf('At most %d amendments of one reading.', Limit::LIST));
        }
        $this->counts($said);
        $text = $said->words !== '' ? $said->words : $this->current->view()->text;
        $this->amendments = [...$this->amendments, Amendment::now($text, $reason, $by)];
    }

    public function view(): ReadingView
    {
        return new ReadingView(
            $this->id()->toRfc4122(), $this->version(), $this->run->id()->toRfc4122(), $this->channel, $this->metric->name(),
            $this->typed->view()->said($this->typedSaid), $this->current->view()->said($this->said), $this->said,
            $this->typedSaid, $this->bound, $this->u,
            $this->undecided, $this->choices(), $this->amendments, $this->confirmed, $this->createdBy(), Instant::write($this->createdAt()),
        );
    }

    public function build(): ?Uuid
    {
        return $this->run->build();
    }

    /** The channel that it is a reading of. */
    public function asked(): Channel
    {
        return self::channelOf($this->run, $this->channel);
    }

    /** Name of the metric that it measures. */
    public function metric(): string
    {
        return $this->metric->name();
    }

    /** @return list<Deciding> what it would be in each unit that fits, while nobody knows */
    private function choices(): array
    {
        return $this->undecided ? Deciding::choices($this->current->value, $this->current->resolution, $this->asked()->unit) : [];
    }

    public function isUndecided(): bool
    {
        return $this->undecided;
    }

    /** @return list<string> of its scale, where that is in words */
    public function words(): array
    {
        return $this->metric->words();
    }

    public function channel(): string
    {
        return $this->channel;
    }

    /** The value that counts. */
    public function current(): Measure
    {
        return $this->current;
    }

    public function run(): Run
    {
        return $this->run;
    }

    public static function asTyped(array $row): array
    {
        $said = Row::text($row['said'] ?? '');

        return match (true) {
            ($row['undecided'] ?? false) !== true && !self::isWithoutUnit($row['typed'] ?? null) => Measure::asTyped($row, 'typed'),
            // What had no unit at first is read from what it was decided to be.
            ($row['undecided'] ?? false) !== true && $said === '' => ['unit' => self::unit($row)] + Measure::asTyped($row, 'current'),
            // And so are the words of a scale as they were said.
            default => $row + ['text' => Said::typed($said)],
        };
    }

    /**
     * Beside which its number stands.
     *
     * @param array<string, mixed> $row
     */
    private static function unit(array $row): string
    {
        $current = $row['current'] ?? null;

        return is_array($current) ? Row::text($current['unit'] ?? '') : '';
    }
}
