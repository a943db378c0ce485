<?php

declare(strict_types=1);

namespace Lustrum\Domain\Working;

use Doctrine\ORM\Mapping as ORM;
use Lustrum\Core\CoreException;
use Lustrum\Core\Quantity\Units;
use Lustrum\Core\Run\Row;
use Lustrum\Core\Wording\WorkingWords;
use Lustrum\Core\Working\TypedSum;
use Lustrum\Domain\Device\Requirement;
use Lustrum\Domain\Revision\Parameter;
use Lustrum\Domain\Revision\Part;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Domain\Trial\Reading;
use Lustrum\Domain\Trial\Run;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Shared\Instant;
use Lustrum\Shared\Refusal\Invalid;
use Symfony\Component\Uid\Uuid;

/**
 * A sum that was worked out for a build, with what went in and what came out then. Worked out anew, the old answer stays.
 *
 * @extends Record<WorkingInput>
 */
#[ORM\Entity]
#[ORM\Table(name: 'working')]
class KeptWorking extends Record
{
    private const MOST_ANSWERS = 60;

    #[ORM\ManyToOne]
    #[ORM\JoinColumn(nullable: false)]
    private Revision $revision;

    #[ORM\Column(length: 120)]
    private string $title = '';

    #[ORM\Column(length: 120)]
    private string $sum = '';

    /** @var list<WorkEntry> */
    #[ORM\Column(type: WorkEntriesType::NAME)]
    private array $inputs = [];

    #[ORM\Column(length: 120)]
    private string $output = '';

    #[ORM\Column(length: 40)]
    private string $unit = '';

    #[ORM\ManyToOne]
    private ?Run $run = null;

    #[ORM\Column(length: 40)]
    private string $channel = '';

    #[ORM\Column(length: 300)]
    private string $note = '';

    #[ORM\Column(type: OwnFormulaType::NAME, nullable: true)]
    private ?OwnFormula $own = null;

    /** @var list<KeptAnswer> */
    #[ORM\Column(type: KeptAnswersType::NAME)]
    private array $answers = [];

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        $new = new self();
        $new->revision = $records->named(Revision::class, $input->revision, 'revision');

        return $new->beginUnder($id, $new->revision);
    }

    public function take(RecordInput $input, Records $records): void
    {
        $this->mustFollowItsOwn($input, $records);
        $answer = self::answer($input, Instant::write(new \DateTimeImmutable()));
        $run = $records->namedOrNull(Run::class, $input->run, 'run');
        $this->mustBeForecast($input, $run, $answer, $records);
        $last = $this->kept();
        if ($last === null || !$last->says($answer)) {
            $this->answers = array_slice([...$this->answers, $answer], -self::MOST_ANSWERS);
        }
        [$this->title, $this->sum, $this->output, $this->unit] = [trim($input->title), $input->sum, $input->output, trim($input->unit)];
        [$this->run, $this->channel, $this->note] = [$run, $run === null ? '' : $input->channel, trim($input->note)];
        $this->inputs = $input->inputs;
        $this->own = $input->sum === Sums::OWN ? $input->own : null;
    }

    public function view(): WorkingView
    {
        return new WorkingView(
            $this->id()->toRfc4122(), $this->version(), $this->revision->id()->toRfc4122(), $this->title, $this->sum,
            $this->inputs, $this->output,
            $this->unit, $this->run?->id()->toRfc4122(), $this->channel, $this->note, $this->answers, $this->createdBy(), $this->own,
        );
    }

    public function revision(): Revision
    {
        return $this->revision;
    }

    public function run(): ?Run
    {
        return $this->run;
    }

    /** The answer that counts, as it was kept last. */
    public function kept(): ?KeptAnswer
    {
        return $this->answers === [] ? null : $this->answers[count($this->answers) - 1];
    }

    /** What it forecast was read by now, in a file that tells of both: it is taken back as it was, not said anew. */
    public static function asTyped(array $row): array
    {
        return ['run' => null, 'channel' => '', 'forecasts' => ['run' => $row['run'] ?? null, 'channel' => $row['channel'] ?? '']] + $row;
    }

    public function restore(array $row, Records $records): void
    {
        $forecasts = is_array($row['forecasts'] ?? null) ? $row['forecasts'] : [];
        $this->run = $records->namedOrNull(Run::class, is_string($forecasts['run'] ?? null) ? $forecasts['run'] : null, 'run');
        $this->channel = $this->run === null ? '' : mb_substr(Row::text($forecasts['channel'] ?? ''), 0, 40);
        $answers = KeptAnswersType::of(Row::rows($row['answers'] ?? []));
        if ($answers !== []) {
            $this->answers = array_slice($answers, -self::MOST_ANSWERS);
        }
    }

    /** @throws Invalid where a value is taken from another device */
    private function mustFollowItsOwn(WorkingInput $input, Records $records): void
    {
        foreach ($input->inputs as $i => $entry) {
            foreach ([
                'parameter' => $records->namedOrNull(Parameter::class, $entry->parameter, sprintf('inputs[%d].parameter', $i)),
                'part' => $records->namedOrNull(Part::class, $entry->part, sprintf('inputs[%d].part', $i)),
                'reading' => $records->namedOrNull(Reading::class, $entry->reading, sprintf('inputs[%d].reading', $i)),
                'requirement' => $records->namedOrNull(Requirement::class, $entry->requirement, sprintf('inputs[%d].requirement', $i)),
            ] as $what => $record) {
                if ($record !== null && !$record->belongsTo()->equals($this->belongsTo())) {
                    throw Invalid::at(sprintf('inputs[%d].%s', $i, $what), 'That belongs to another device.');
                }
            }
        }
    }

    /** @throws Invalid at the field that is wrong */
    private static function answer(WorkingInput $input, string $at): KeptAnswer
    {
        $sum = TypedSum::of(Sums::of($input->sum, $input->own), array_column($input->inputs, 'text', 'name'));
        $place = static function (string $name) use ($input): string {
            $i = array_search($name, array_column($input->inputs, 'name'), true);

            return $i === false ? 'inputs' : sprintf('inputs[%d].text', $i);
        };
        foreach ($sum->problems as $name => $problem) {
            throw Invalid::at($place($name), $problem->getMessage());
        }
        $output = $sum->work->about->output($input->output) ?? throw Invalid::at('output', 'This sum has no such answer.');
        $unit = trim($input->unit) === '' ? $output->shown : trim($input->unit);
        try {
            foreach ($sum->work->out($sum->entered, [$output->name => $unit]) as $one) {
                if ($one->name === $output->name && is_float($one->value)) {
                    return new KeptAnswer($one->value, $one->unit, $one->u, WorkingWords::answer($one), $at);
                }
            }
        } catch (CoreException $e) {
            $parts = explode('/', $e->path);
            throw Invalid::at($parts[0] === 'units' ? 'unit' : $place($parts[1] ?? ''), $e->getMessage());
        }
        throw Invalid::at('output', 'With these values there is no such answer, or it is no single number.');
    }

    /** A forecast is said before it is read, and stays as it was said. */
    private function mustBeForecast(WorkingInput $input, ?Run $run, KeptAnswer $answer, Records $records): void
    {
        $was = $this->run;
        if ($was !== null && $this->isRead($was, $this->channel, $records)) {
            $last = $this->kept();
            $isSame = $run !== null && $run->id()->equals($was->id()) && $input->channel === $this->channel;
            if (!$isSame || $last === null || !$last->says($answer)) {
                throw Invalid::at('run', 'Its run was read: the forecast stays as it was said before.');
            }

            return;
        }
        if ($run === null) {
            return;
        }
        if (!$run->belongsTo()->equals($this->belongsTo())) {
            throw Invalid::at('run', 'That belongs to another device.');
        }
        $channel = $run->configuration()->channel($input->channel) ?? throw Invalid::at('channel', 'This run reads no such channel.');
        if (!Units::fit($channel->unit, $answer->unit)) {
            throw Invalid::at('channel', sprintf('%s is read in %s: %s does not fit.', $channel->key, $channel->unit, $answer->unit));
        }
        if ($this->isRead($run, $input->channel, $records)) {
            throw Invalid::at('run', 'A forecast is said before it is read, and this run was read.');
        }
    }

    private function isRead(Run $run, string $channel, Records $records): bool
    {
        return array_filter(
            $records->all(Reading::class, ['run' => $run]), static fn (Reading $r): bool => $r->channel() === $channel,
        ) !== [] || $run->view()->outcome !== null;
    }
}
