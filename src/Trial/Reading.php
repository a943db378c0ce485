<?php

declare(strict_types=1);

namespace Lustrum\Trial;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Http\Problem;
use Lustrum\Record\Measure;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Symfony\Component\Uid\Uuid;

/**
 * One measured value of a run. Never overwritten: an amendment stands beside it, and the last one is current.
 *
 * @extends Record<ReadingInput>
 */
#[ORM\Entity]
#[ORM\UniqueConstraint(columns: ['run_id', 'channel'])]
class Reading extends Record
{
    #[ORM\ManyToOne]
    #[ORM\JoinColumn(nullable: false)]
    private Run $run;

    #[ORM\Column(length: 40)]
    private string $channel = '';

    #[ORM\Column(length: 120)]
    private string $metric = '';

    #[ORM\Embedded]
    private Measure $typed;

    /** The value that counts: as typed, or as last amended. */
    #[ORM\Embedded]
    private Measure $current;

    /** @var list<array{text: string, reason: string, by: string, at: string}> */
    #[ORM\Column(type: Types::JSON)]
    private array $amendments = [];

    /** Kept although Lustrum asked back: what it asked. */
    #[ORM\Column(length: 300)]
    private string $confirmed = '';

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        $new = new self();
        $new->run = $records->named(Run::class, $input->run, 'run');
        $channel = $new->run->trial()->method()->channel($input->channel) ?? throw Problem::violation('channel', 'The method has no such channel.');
        $quantity = Quantity::typed($input->text);
        $quantity->to($channel->unit);
        $new->channel = $channel->key;
        $new->metric = $channel->metric;
        $new->typed = $new->current = Measure::of($quantity);

        return $new->begin($id, $new->run->workspace());
    }

    public function take(RecordInput $input, Records $records): void
    {
        if ($this->isWritten()) {
            throw Problem::violation('text', 'A reading is not overwritten. Amend it with a reason; both values stay.');
        }
        $this->confirmed = $input->confirmed;
    }

    public function restore(array $row, Records $records): void
    {
        foreach (['typed', 'current'] as $name) {
            if (is_array($row[$name] ?? null)) {
                $measure = Measure::fromRow($row[$name]);
                $measure->quantity()->to($this->typed->unit);
                $name === 'typed' ? $this->typed = $this->current = $measure : $this->current = $measure;
            }
        }
        $this->metric = is_string($row['metric'] ?? null) && $row['metric'] !== '' ? mb_substr($row['metric'], 0, 120) : $this->metric;
        $this->amendments = Amendment::rows($row['amendments'] ?? []);
    }

    /** @throws Problem when the new value is of another dimension */
    public function amend(string $text, string $reason, string $by): void
    {
        $quantity = Quantity::typed($text);
        $quantity->to($this->typed->unit);
        $this->current = Measure::of($quantity);
        $this->amendments[] = ['text' => $text, 'reason' => $reason, 'by' => $by, 'at' => (new \DateTimeImmutable())->format(\DATE_ATOM)];
    }

    public function view(): ReadingView
    {
        return new ReadingView($this->id()->toRfc4122(), $this->version(), $this->run->id()->toRfc4122(), $this->channel, $this->metric, $this->typed->view(), $this->current->view(), array_map(static fn (array $a): Amendment => new Amendment($a['text'], $a['reason'], $a['by'], $a['at']), $this->amendments), $this->confirmed, $this->createdBy(), $this->createdAt()->format(\DATE_ATOM));
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
}
