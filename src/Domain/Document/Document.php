<?php

declare(strict_types=1);

namespace Lustrum\Domain\Document;

use Doctrine\ORM\Mapping as ORM;
use Lustrum\Domain\Revision\Article;
use Lustrum\Domain\Revision\Part;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Shared\Instant;
use Lustrum\Shared\Refusal\Invalid;
use Lustrum\Storage\Preview;
use Lustrum\Storage\StoredDocument;
use Symfony\Component\Uid\Uuid;

/**
 * A file that a build, one of its parts or an article is made from, or vouched for by; kept byte by byte, and known by its hash.
 *
 * @extends Record<DocumentInput>
 */
#[ORM\Entity]
class Document extends Record
{
    #[ORM\ManyToOne]
    #[ORM\JoinColumn(nullable: false)]
    private Revision $revision;

    #[ORM\ManyToOne]
    private ?Part $part = null;

    #[ORM\ManyToOne]
    private ?Article $article = null;

    #[ORM\Column(length: 120)]
    private string $name = '';

    #[ORM\Column(length: 12)]
    private DocumentRole $role = DocumentRole::Drawing;

    #[ORM\Column(length: 120)]
    private string $author = '';

    #[ORM\Column(length: 10)]
    private string $day = '';

    #[ORM\Column(length: 300)]
    private string $note = '';

    /** @var list<Rating> */
    #[ORM\Column(type: RatingsType::NAME)]
    private array $ratings = [];

    #[ORM\Column(length: 64)]
    private string $sha256 = '';

    #[ORM\Column]
    private int $bytes = 0;

    #[ORM\Column(length: 120)]
    private string $type = '';

    #[ORM\Column(length: 8)]
    private Preview $preview = Preview::None;

    #[ORM\Column(length: 300)]
    private string $seen = '';

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        $new = new self();
        $new->revision = $records->named(Revision::class, $input->revision, 'revision');
        $new->is($input->file ?? throw Invalid::at('file', 'No file arrived. Choose one and send it again.'));

        return $new->beginUnder($id, $new->revision);
    }

    public function take(RecordInput $input, Records $records): void
    {
        $this->part = $records->namedOrNull(Part::class, $input->part, 'part');
        $this->article = $records->namedOrNull(Article::class, $input->article, 'article');
        if ($this->part !== null && !$this->part->revision()->id()->equals($this->revision->id())) {
            throw Invalid::at('part', sprintf('That part is not of build %s.', $this->revision->letter()));
        }
        $this->name = trim($input->name);
        $this->role = $input->role;
        $this->author = trim($input->author);
        $this->day = $input->day;
        $this->note = trim($input->note);
        $this->ratings = $input->ratings;
    }

    /** A picture of it was made, or could not be; what was seen in it stands beside it. */
    public function isShown(Preview $preview, string $seen): void
    {
        [$this->preview, $this->seen] = [$preview, mb_substr($seen, 0, 300)];
    }

    private function is(StoredDocument $file): void
    {
        [$this->sha256, $this->bytes, $this->type] = [$file->sha256, $file->bytes, $file->type];
        [$this->preview, $this->seen] = [$file->preview, $file->note];
    }

    public function build(): Uuid
    {
        return $this->revision->id();
    }

    public function view(): DocumentView
    {
        return new DocumentView(
            $this->id()->toRfc4122(), $this->version(), $this->revision->id()->toRfc4122(), $this->part?->id()->toRfc4122(),
            $this->part?->name() ?? '', $this->article?->id()->toRfc4122(), $this->name, $this->role, $this->author, $this->day,
            $this->note,
            $this->ratings, $this->type, $this->bytes, $this->sha256, $this->preview, $this->seen, $this->createdBy(),
            Instant::write($this->createdAt()),
        );
    }

    public function name(): string
    {
        return $this->name;
    }

    public function sha256(): string
    {
        return $this->sha256;
    }

    public function type(): string
    {
        return $this->type;
    }

    public function preview(): Preview
    {
        return $this->preview;
    }
}
