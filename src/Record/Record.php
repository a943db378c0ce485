<?php

declare(strict_types=1);

namespace Lustrum\Record;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Lustrum\Account\User;
use Lustrum\Account\Workspace;
use Lustrum\Exchange\Origin;
use Symfony\Bridge\Doctrine\Types\UuidType;
use Symfony\Component\Uid\Uuid;

/**
 * A row that people edit: client-made identifier, version, who and when, withdrawn rather than deleted.
 *
 * @template I of RecordInput
 */
#[ORM\MappedSuperclass]
abstract class Record
{
    #[ORM\Id]
    #[ORM\Column(type: UuidType::NAME)]
    private Uuid $id;

    #[ORM\ManyToOne]
    #[ORM\JoinColumn(nullable: false)]
    private Workspace $workspace;

    #[ORM\Column]
    private int $version = 1;

    #[ORM\Column(length: 64)]
    private string $fingerprint = '';

    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
    private \DateTimeImmutable $createdAt;

    #[ORM\Column(length: 120)]
    private string $createdBy = '';

    #[ORM\Column(type: Types::DATETIMETZ_IMMUTABLE)]
    private \DateTimeImmutable $changedAt;

    #[ORM\Column(type: Types::TEXT, nullable: true)]
    private ?string $withdrawnBecause = null;

    final protected function begin(Uuid $id, Workspace $workspace): static
    {
        $this->id = $id;
        $this->workspace = $workspace;
        $this->createdAt = $this->changedAt = new \DateTimeImmutable();

        return $this;
    }

    /**
     * Builds a new record from what was sent.
     *
     * @param I $input
     *
     * @return self<I>
     */
    abstract public static function start(Uuid $id, RecordInput $input, Records $records): self;

    /**
     * Takes over what was sent; called for a new record too.
     *
     * @param I $input
     */
    abstract public function take(RecordInput $input, Records $records): void;

    /** What clients see of it. */
    abstract public function view(): object;

    /**
     * What an export keeps beyond the view.
     *
     * @return array<string, mixed>
     */
    public function extra(): array
    {
        return [];
    }

    /**
     * Takes back from an export what a form cannot say; called after take().
     *
     * @param array<string, mixed> $row
     */
    public function restore(array $row, Records $records): void
    {
    }

    public function cameFrom(Origin $origin): void
    {
        $this->createdAt = new \DateTimeImmutable($origin->createdAt);
        $this->createdBy = mb_substr($origin->createdBy, 0, 120);
        $this->version = max(1, $origin->version);
        $this->withdrawnBecause = $origin->withdrawnBecause;
    }

    public function id(): Uuid
    {
        return $this->id;
    }

    public function workspace(): Workspace
    {
        return $this->workspace;
    }

    public function changedAt(): \DateTimeImmutable
    {
        return $this->changedAt;
    }

    public function version(): int
    {
        return $this->version;
    }

    public function createdAt(): \DateTimeImmutable
    {
        return $this->createdAt;
    }

    public function createdBy(): string
    {
        return $this->createdBy;
    }

    public function withdrawnBecause(): ?string
    {
        return $this->withdrawnBecause;
    }

    public function isWithdrawn(): bool
    {
        return $this->withdrawnBecause !== null;
    }

    /** Has it been written before? False while a new one is being put together. */
    protected function isWritten(): bool
    {
        return $this->createdBy !== '';
    }

    public function withdraw(string $because): void
    {
        $this->withdrawnBecause = $because;
    }

    public function bears(string $fingerprint): bool
    {
        return $this->fingerprint === $fingerprint;
    }

    /** Marks what was written, by whom; the version counts from 1. */
    public function written(string $fingerprint, ?User $by, bool $new): void
    {
        $this->fingerprint = $fingerprint;
        $this->changedAt = new \DateTimeImmutable();
        if ($new) {
            $this->createdBy = $by?->name() ?? 'Lustrum';
        } else {
            ++$this->version;
        }
    }
}
