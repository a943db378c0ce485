<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

use Doctrine\ORM\Mapping as ORM;
use Lustrum\Core\Rig\HappeningKind;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Shared\Doctrine\InstantType;
use Lustrum\Shared\Instant;
use Symfony\Component\Uid\Uuid;

/**
 * Something that happened to an article: what was verified on it before is asked for again.
 *
 * @extends Record<HappeningInput>
 */
#[ORM\Entity]
class Happening extends Record
{
    #[ORM\ManyToOne]
    #[ORM\JoinColumn(nullable: false)]
    private Article $article;

    #[ORM\Column(length: 12)]
    private HappeningKind $kind = HappeningKind::Moved;

    #[ORM\Column(type: InstantType::NAME)]
    private \DateTimeImmutable $at;

    #[ORM\Column(length: 300)]
    private string $note = '';

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        $new = new self();
        $new->article = $records->named(Article::class, $input->article, 'article');
        $new->at = $input->at === null ? new \DateTimeImmutable() : Instant::read($input->at, 'at');

        return $new->beginUnder($id, $new->article);
    }

    public function take(RecordInput $input, Records $records): void
    {
        $this->kind = $input->kind;
        $this->note = trim($input->note);
    }

    public function build(): Uuid
    {
        return $this->article->build();
    }

    public function view(): HappeningView
    {
        return new HappeningView(
            $this->id()->toRfc4122(), $this->version(), $this->article->id()->toRfc4122(), $this->kind, Instant::write($this->at),
            $this->note,
            $this->createdBy(),
        );
    }
}
