<?php

declare(strict_types=1);

namespace Lustrum\Domain\Finding;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Lustrum\Domain\Method\Method;
use Lustrum\Domain\Revision\Article;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Domain\Trial\Found;
use Lustrum\Domain\Trial\FoundType;
use Lustrum\Domain\Trial\Run;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Shared\Instant;
use Lustrum\Shared\Refusal\Invalid;
use Symfony\Component\Uid\Uuid;

/**
 * Something did not do its job.
 *
 * @extends Record<FailureInput>
 */
#[ORM\Entity]
class Failure extends Record
{
    #[ORM\ManyToOne]
    #[ORM\JoinColumn(nullable: false)]
    private Revision $revision;

    #[ORM\ManyToOne]
    private ?Run $run = null;

    #[ORM\ManyToOne]
    private ?Article $article = null;

    #[ORM\Column(length: 120)]
    private string $mode = '';

    #[ORM\Column(length: 120)]
    private string $place = '';

    #[ORM\Column(length: 10)]
    private Consequence $consequence = Consequence::Major;

    #[ORM\Column(length: 120)]
    private string $stage = '';

    #[ORM\Column(type: Types::TEXT)]
    private string $note = '';

    /** @var list<Found> */
    #[ORM\Column(type: FoundType::NAME)]
    private array $levels = [];

    #[ORM\ManyToOne]
    private ?Method $method = null;

    #[ORM\Column(length: 40)]
    private string $question = '';

    /** The failure of the same run that it follows from. */
    #[ORM\ManyToOne]
    private ?Failure $consequenceOf = null;

    #[ORM\Column]
    private bool $feared = false;

    #[ORM\Column(type: Types::TEXT)]
    private string $guard = '';

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        $new = new self();
        $new->revision = $records->named(Revision::class, $input->revision, 'revision');

        return $new->beginUnder($id, $new->revision);
    }

    public function take(RecordInput $input, Records $records): void
    {
        $run = $records->namedOrNull(Run::class, $input->run, 'run');
        if ($run !== null && !$run->trial()->revision()->id()->equals($this->revision->id())) {
            throw Invalid::at('run', 'That run was made on another revision.');
        }
        $this->run = $run;
        $this->article = $run?->article() ?? $records->namedOrNull(Article::class, $input->article, 'article');
        if ($this->article !== null && !$this->article->isOf($this->revision)) {
            throw Invalid::at('article', 'That article was built to another revision.');
        }
        $this->mode = trim($input->mode);
        $this->place = trim($input->place);
        $this->consequence = $input->consequence;
        $this->stage = trim($input->stage);
        $this->note = $input->note;
        $this->levels = $input->levels;
        $this->question = trim($input->question);
        $this->feared = $input->feared;
        $this->guard = $input->guard;
        $this->method = $this->soundMethod($records->namedOrNull(Method::class, $input->method, 'method'));
        $this->consequenceOf = $this->soundFirst($records->namedOrNull(self::class, $input->consequenceOf, 'consequenceOf'));
    }

    /** Another name for what failed: two ways of writing one mode become one, or one that was two is split. */
    public function call(string $mode, string $place): void
    {
        $this->mode = trim($mode);
        $this->place = trim($place) === '' ? $this->place : trim($place);
    }

    public function note(): string
    {
        return $this->note;
    }

    public function place(): string
    {
        return $this->place;
    }

    private function soundMethod(?Method $method): ?Method
    {
        if ($method !== null && !$method->device()->id()->equals($this->revision->device()->id())) {
            throw Invalid::at('method', 'That method belongs to another device.');
        }

        return $method;
    }

    private function soundFirst(?self $first): ?self
    {
        for ($at = $first; $at !== null; $at = $at->consequenceOf) {
            if ($at->id()->equals($this->id())) {
                throw Invalid::at('consequenceOf', 'A failure does not follow from itself.');
            }
        }
        if ($first !== null && ($this->run === null || $first->run === null || !$first->run->id()->equals($this->run->id()))) {
            throw Invalid::at('consequenceOf', 'It follows from a failure of the same run.');
        }

        return $first;
    }

    /** The run that it was seen on is another build's. */
    public function goesTo(Revision $revision): void
    {
        $this->revision = $revision;
    }

    public function build(): Uuid
    {
        return $this->revision->id();
    }

    public function view(): FailureView
    {
        return new FailureView(
            $this->id()->toRfc4122(), $this->version(), $this->revision->id()->toRfc4122(), $this->run?->id()->toRfc4122(),
            $this->article?->id()->toRfc4122(), $this->mode, $this->place, $this->consequence, $this->stage, $this->note, $this->levels,
            $this->method?->id()->toRfc4122(), $this->question, $this->consequenceOf?->id()->toRfc4122(), $this->feared, $this->guard,
            $this->createdBy(),
            Instant::write($this->createdAt()),
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

    public function mode(): string
    {
        return $this->mode;
    }
}
