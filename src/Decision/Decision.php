<?php

declare(strict_types=1);

namespace Lustrum\Decision;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Lustrum\Http\Problem;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Record\Stored;
use Lustrum\Revision\Revision;
use Symfony\Component\Uid\Uuid;

/**
 * Which candidates went in, wait or were dropped, and why; it opened the next revision. Written once.
 *
 * @extends Record<DecisionInput>
 */
#[ORM\Entity]
class Decision extends Record
{
    #[ORM\ManyToOne]
    #[ORM\JoinColumn(nullable: false)]
    private Revision $revision;

    #[ORM\ManyToOne(cascade: ['persist'])]
    #[ORM\JoinColumn(nullable: false)]
    private Revision $next;

    #[ORM\Column(type: Types::TEXT)]
    private string $note = '';

    /** @var array<string, mixed> what was known when it was taken: sums, and the state of each requirement */
    #[ORM\Column(type: Types::JSON)]
    private array $known = [];

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        $new = new self();
        $new->revision = $records->named(Revision::class, $input->revision, 'revision');

        return $new->begin($id, $new->revision->workspace());
    }

    public function restore(array $row, Records $records): void
    {
        $next = $records->named(Revision::class, is_string($row['next'] ?? null) ? $row['next'] : '', 'next');
        /** @var array<string, mixed> $known */
        $known = is_array($row['known'] ?? null) ? $row['known'] : [];
        $this->opens($next, Stored::rows([DecisionRecord::fromRow($known)])[0]);
    }

    /** @param array<string, mixed> $known */
    public function opens(Revision $next, array $known): void
    {
        $this->next = $next;
        $this->known = $known;
    }

    public function take(RecordInput $input, Records $records): void
    {
        if ($this->isWritten()) {
            throw Problem::of(409, 'decided', 'A decision is not rewritten. Decide anew on the next build.');
        }
        $this->note = $input->note;
    }

    public function view(): DecisionView
    {
        return new DecisionView($this->id()->toRfc4122(), $this->version(), $this->revision->id()->toRfc4122(), $this->revision->letter(), $this->next->id()->toRfc4122(), $this->next->letter(), $this->note, DecisionRecord::fromRow($this->known), $this->createdBy(), $this->createdAt()->format(\DATE_ATOM));
    }

    public function revision(): Revision
    {
        return $this->revision;
    }
}
