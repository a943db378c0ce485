<?php

declare(strict_types=1);

namespace Lustrum\Trial;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Lustrum\Core\CoreException;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Http\Problem;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Record\Stored;
use Lustrum\Revision\Article;
use Symfony\Component\Uid\Uuid;

/**
 * One execution in a trial. Numbered before its outcome is known; none disappears.
 *
 * @extends Record<RunInput>
 */
#[ORM\Entity]
#[ORM\UniqueConstraint(columns: ['trial_id', 'number'])]
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

    #[ORM\Column(length: 120)]
    private string $position = '';

    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
    private \DateTimeImmutable $startedAt;

    /** @var list<array<string, mixed>> */
    #[ORM\Column(type: Types::JSON)]
    private array $conditions = [];

    /** @var list<array<string, mixed>> */
    #[ORM\Column(type: Types::JSON)]
    private array $settings = [];

    #[ORM\Column(type: Types::TEXT)]
    private string $note = '';

    #[ORM\Column(length: 12, nullable: true)]
    private ?RunOutcome $outcome = null;

    #[ORM\Column(type: Types::TEXT)]
    private string $outcomeReason = '';

    /** @var list<array{text: string, reason: string, by: string, at: string}> what the outcome was before */
    #[ORM\Column(type: Types::JSON)]
    private array $amendments = [];

    /** @var array<string, mixed> */
    #[ORM\Column(type: Types::JSON, options: ['jsonb' => true])]
    private array $configuration = [];

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        $new = new self();
        $new->trial = $records->named(Trial::class, $input->trial, 'trial');
        $new->trial->mustBeSafeToRun();
        $new->begin($id, $new->trial->workspace());
        $new->startedAt = $input->startedAt === null ? new \DateTimeImmutable() : self::time($input->startedAt);
        $new->article = $records->namedOrNull(Article::class, $input->article, 'article');
        if ($new->article !== null && !$new->article->revision()->id()->equals($new->trial->revision()->id())) {
            throw Problem::violation('article', 'This unit was built to another revision than the trial is for.');
        }
        $connection = $records->manager()->getConnection();
        // Two phones starting a run at once: one waits here, so that numbers have no gaps and no doubles.
        $connection->executeStatement('SELECT 1 FROM trial WHERE id = ? FOR UPDATE', [$new->trial->id()->toRfc4122()]);
        $last = $connection->fetchOne('SELECT coalesce(max(number), 0) FROM run WHERE trial_id = ?', [$new->trial->id()->toRfc4122()]);
        $new->number = (is_numeric($last) ? (int) $last : 0) + 1;
        $past = ArticlePast::before($connection, $new->article, $new->startedAt);
        $new->configuration = Stored::rows([Configuration::of($new->trial->revision(), $new->article, $new->trial->method(), $past->runs, $past->failures)])[0];
        $new->trial->began();

        return $new;
    }

    public function take(RecordInput $input, Records $records): void
    {
        $article = $records->namedOrNull(Article::class, $input->article, 'article');
        if ($article?->id()->toRfc4122() !== $this->article?->id()->toRfc4122()) {
            throw Problem::violation('article', 'A run belongs to the unit that it was started with. Void it with a reason and start another.');
        }
        foreach ($this->trial->method()->conditions() as $condition) {
            self::mustFit($input->conditions, $condition->name, $condition->unit, 'conditions');
        }
        foreach ($this->trial->method()->settings() as $setting) {
            self::mustFit($input->settings, $setting->name, $setting->unit, 'settings');
        }
        if ($this->outcome !== null && $this->outcome !== $input->outcome) {
            throw Problem::violation('outcome', 'An outcome is not overwritten. Amend it with a reason.');
        }
        if ($input->outcome !== null && $input->outcome !== RunOutcome::Held && trim($input->outcomeReason) === '') {
            throw Problem::violation('outcomeReason', match ($input->outcome) {
                RunOutcome::Failed => 'Say in a few words what failed.',
                RunOutcome::StoppedEarly => 'Say why it was stopped: the value becomes a bound.',
                RunOutcome::Lost => 'Say how it was lost.',
                default => 'A void run keeps its number; say why it does not count.',
            });
        }
        $this->operator = trim($input->operator);
        $this->position = trim($input->position);
        $this->conditions = Stored::rows($input->conditions);
        $this->settings = Stored::rows($input->settings);
        $this->note = $input->note;
        $this->outcome = $input->outcome;
        $this->outcomeReason = $input->outcomeReason;
    }

    public function view(): RunView
    {
        return new RunView($this->id()->toRfc4122(), $this->version(), $this->trial->id()->toRfc4122(), $this->article?->id()->toRfc4122(), $this->number, $this->operator, $this->position, $this->startedAt->format(\DATE_ATOM), Stored::list(Found::class, $this->conditions), Stored::list(Found::class, $this->settings), $this->note, $this->outcome, $this->outcomeReason, $this->missing(), array_map(static fn (array $a): Amendment => new Amendment($a['text'], $a['reason'], $a['by'], $a['at']), $this->amendments), $this->createdBy());
    }

    public function extra(): array
    {
        return ['configuration' => $this->configuration];
    }

    public function restore(array $row, Records $records): void
    {
        $this->number = is_int($row['number'] ?? null) && $row['number'] > 0 ? $row['number'] : $this->number;
        $this->amendments = Amendment::rows($row['amendments'] ?? []);
        if (is_array($row['configuration'] ?? null)) {
            /** @var array<string, mixed> $stored */
            $stored = $row['configuration'];
            $was = Stored::one(Configuration::class, $stored);
            // Under the identifiers of this workspace; all else as it was.
            $this->configuration = Stored::rows([$was->under($this->trial->revision()->id(), $this->article?->id(), $this->trial->method()->id())])[0];
        }
    }

    /** The amended outcome stands in the run; what it was stands in the amendment. */
    public function amendOutcome(RunOutcome $outcome, string $reason, string $by): void
    {
        if ($this->outcome === null) {
            throw Problem::violation('outcome', 'This run has no outcome yet: give it one.');
        }
        $this->amendments[] = ['text' => $this->outcome->value, 'reason' => $reason, 'by' => $by, 'at' => (new \DateTimeImmutable())->format(\DATE_ATOM)];
        $this->outcome = $outcome;
        $this->outcomeReason = trim($reason);
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

    public function configuration(): Configuration
    {
        return Stored::one(Configuration::class, $this->configuration);
    }

    /** @return list<string> conditions and settings that nobody recorded */
    private function missing(): array
    {
        $missing = [];
        foreach ([[$this->trial->method()->conditions(), $this->conditions], [$this->trial->method()->settings(), $this->settings]] as [$wanted, $rows]) {
            $found = Stored::list(Found::class, $rows);
            foreach ($wanted as $rule) {
                if (array_filter($found, static fn (Found $f): bool => $f->name === $rule->name && $f->recorded()) === []) {
                    $missing[] = $rule->name;
                }
            }
        }

        return $missing;
    }

    /** @param list<Found> $found */
    private static function mustFit(array $found, string $name, string $unit, string $path): void
    {
        foreach ($found as $i => $one) {
            if ($one->name !== $name || !$one->recorded() || $unit === '') {
                continue;
            }
            try {
                Quantity::typed($one->text)->to($unit);
            } catch (CoreException $e) {
                throw Problem::violation(sprintf('%s[%d].text', $path, $i), sprintf('%s: %s', $name, $e->getMessage()));
            }
        }
    }

    private static function time(string $text): \DateTimeImmutable
    {
        try {
            return new \DateTimeImmutable($text);
        } catch (\Exception) {
            throw Problem::violation('startedAt', 'This is not a date and time.');
        }
    }
}
