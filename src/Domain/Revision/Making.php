<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

use Doctrine\ORM\Mapping as ORM;
use Lustrum\Core\Wording\WorkshopWords;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Shared\Instant;
use Symfony\Component\Uid\Uuid;

/**
 * A step of making an article: how long it took, what went wrong, and where that could have been noticed.
 *
 * @extends Record<MakingInput>
 */
#[ORM\Entity]
class Making extends Record
{
    private const MOST_MINUTES = 12 * 60;

    #[ORM\ManyToOne]
    #[ORM\JoinColumn(nullable: false)]
    private Article $article;

    #[ORM\Column(length: 120)]
    private string $name = '';

    #[ORM\Column(length: 120)]
    private string $who = '';

    #[ORM\Column(nullable: true)]
    private ?float $minutes = null;

    #[ORM\Column(length: 300)]
    private string $wrong = '';

    #[ORM\Column]
    private int $scrap = 0;

    #[ORM\Column(length: 300)]
    private string $noticed = '';

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        $new = new self();
        $new->article = $records->named(Article::class, $input->article, 'article');

        return $new->beginUnder($id, $new->article);
    }

    public function take(RecordInput $input, Records $records): void
    {
        $this->name = trim($input->name);
        $this->who = trim($input->who);
        $this->minutes = $input->minutes ?? ($input->clocked ? $this->sinceTheLast($records) : null);
        $this->wrong = trim($input->wrong);
        $this->scrap = $input->scrap;
        $this->noticed = trim($input->noticed);
    }

    /** By the server's clock: that of a phone may stand otherwise. */
    private function sinceTheLast(Records $records): ?float
    {
        $before = array_values(array_filter(
            $records->all(self::class, ['article' => $this->article]), fn (self $m): bool => !$m->id()->equals($this->id()),
        ));
        $last = $before[count($before) - 1] ?? null;
        if ($last === null) {
            return null;
        }
        $minutes = ($this->createdAt()->getTimestamp() - $last->createdAt()->getTimestamp()) / 60;

        // A touch after longer than this belongs to another day's work: what lay between was no making.
        return $minutes > self::MOST_MINUTES ? null : max(0.0, round($minutes, 1));
    }

    public function build(): Uuid
    {
        return $this->article->build();
    }

    public function article(): Article
    {
        return $this->article;
    }

    public function minutes(): ?float
    {
        return $this->minutes;
    }

    public function scrap(): int
    {
        return $this->scrap;
    }

    public function wentWrong(): bool
    {
        return $this->wrong !== '' || $this->scrap > 0;
    }

    public function view(): MakingView
    {
        return new MakingView(
            $this->id()->toRfc4122(), $this->version(), $this->article->id()->toRfc4122(), $this->name, $this->who, $this->minutes,
            $this->minutes === null ? '' : WorkshopWords::time($this->minutes), $this->wrong, $this->scrap, $this->noticed,
            $this->createdBy(), Instant::write($this->createdAt()),
        );
    }
}
