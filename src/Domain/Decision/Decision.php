<?php

declare(strict_types=1);

namespace Lustrum\Domain\Decision;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Lustrum\Core\Run\Row;
use Lustrum\Core\Wording\DecisionWords;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Shared\Instant;
use Lustrum\Shared\Refusal\Settled;
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

    #[ORM\ManyToOne]
    private ?Revision $next = null;

    #[ORM\Column(length: 10)]
    private DecisionKind $kind = DecisionKind::Build;

    #[ORM\Column(type: Types::TEXT)]
    private string $note = '';

    /** What was known when it was taken: sums, and the state of each requirement. */
    #[ORM\Column(type: DecisionRecordType::NAME)]
    private DecisionRecord $known;

    public static function start(Uuid $id, RecordInput $input, Records $records): self
    {
        $new = new self();
        $new->revision = $records->named(Revision::class, $input->revision, 'revision');

        return $new->beginUnder($id, $new->revision);
    }

    public function restore(array $row, Records $records): void
    {
        $this->kind = DecisionKind::tryFrom(Row::text($row['kind'] ?? '')) ?? DecisionKind::Build;
        $next = $this->kind === DecisionKind::Build
            ? $records->named(Revision::class, is_string($row['next'] ?? null) ? $row['next'] : '', 'next') : null;
        $this->opens($next, DecisionRecord::fromRow(is_array($row['known'] ?? null) ? $row['known'] : []));
    }

    public function opens(?Revision $next, DecisionRecord $known): void
    {
        $this->next = $next;
        $this->known = $known;
    }

    public function take(RecordInput $input, Records $records): void
    {
        if ($this->isWritten()) {
            throw Settled::decision();
        }
        $this->note = $input->note;
        $this->kind = $input->kind;
    }

    public function build(): Uuid
    {
        return $this->revision->id();
    }

    public function view(): DecisionView
    {
        $chosen = count(array_filter($this->known->lines, static fn (DecisionLine $l): bool => $l->choice === Choice::In));

        return new DecisionView(
            $this->id()->toRfc4122(), $this->version(), $this->revision->id()->toRfc4122(), $this->revision->letter(), $this->kind,
            $this->next?->id()->toRfc4122(), $this->next?->letter() ?? '', $this->note,
            DecisionWords::record(
                $this->kind->value, $this->createdBy(), $this->next?->letter() ?? '', $this->revision->letter(), $chosen,
                $this->known->cost, $this->known->currency,
                $this->known->hours,
            ),
            $this->known, $this->createdBy(), Instant::write($this->createdAt()),
        );
    }

    public function revision(): Revision
    {
        return $this->revision;
    }

    public static function asTyped(array $row): array
    {
        return ['letter' => $row['nextLetter'] ?? ''] + $row;
    }
}
