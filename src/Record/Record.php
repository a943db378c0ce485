<?php

declare(strict_types=1);

namespace Lustrum\Record;

use Doctrine\DBAL\Types\Types;
use Doctrine\ORM\Mapping as ORM;
use Lustrum\Account\Workspace;
use Lustrum\Core\Wording\AccountWords;
use Lustrum\Shared\Doctrine\InstantType;
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

    /** The device that it belongs to; a device's is its own. */
    #[ORM\Column(type: UuidType::NAME)]
    private Uuid $belongsTo;

    #[ORM\Column]
    private int $version = 1;

    #[ORM\Column(length: 64)]
    private string $fingerprint = '';

    #[ORM\Column(type: InstantType::NAME)]
    private \DateTimeImmutable $createdAt;

    #[ORM\Column(length: 120)]
    private string $createdBy = '';

    #[ORM\Column(type: InstantType::NAME)]
    private \DateTimeImmutable $changedAt;

    /** When it reached this server, whatever a file says of when it was made. */
    #[ORM\Column(type: InstantType::NAME)]
    private \DateTimeImmutable $receivedAt;

    /** It came in with a file: author and date are what the file says. */
    #[ORM\Column]
    private bool $broughtIn = false;

    /** By whom it came in, who answers for it; the author is said by the file alone. Empty: a file of ours, or none. */
    #[ORM\Column(length: 120)]
    private string $broughtInBy = '';

    #[ORM\Column(type: Types::TEXT, nullable: true)]
    private ?string $withdrawnBecause = null;

    final protected function begin(Uuid $id, Workspace $workspace, Uuid $device): static
    {
        $this->id = $id;
        $this->workspace = $workspace;
        $this->belongsTo = $device;
        $this->createdAt = $this->changedAt = $this->receivedAt = new \DateTimeImmutable();

        return $this;
    }

    /**
     * Begins one that belongs where another belongs.
     *
     * @param self<covariant RecordInput> $other
     */
    final protected function beginUnder(Uuid $id, self $other): static
    {
        return $this->begin($id, $other->workspace, $other->belongsTo);
    }

    /**
     * Builds a new record of a registered kind; that class and input belong together is said by the registry.
     *
     * @param class-string<self<covariant RecordInput>> $class
     *
     * @return self<covariant RecordInput>
     */
    final public static function of(string $class, Uuid $id, RecordInput $input, Records $records): self
    {
        return $class::start($id, $input, $records); // @phpstan-ignore argument.type
    }

    /** Takes over what was sent, the input being of its kind. */
    final public function fill(RecordInput $input, Records $records): void
    {
        $this->take($input, $records); // @phpstan-ignore argument.type
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

    /** The build whose sums rest on it; null where it bears on the whole device. */
    public function build(): ?Uuid
    {
        return null;
    }

    /** Does it go out with a device file? */
    public function goesOut(): bool
    {
        return true;
    }

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
     * An entry of a device file in the shape that a form sends.
     *
     * @param array<string, mixed> $row
     *
     * @return array<string, mixed>
     */
    public static function asTyped(array $row): array
    {
        return $row;
    }

    /**
     * Takes back from an export what a form cannot say; called after take().
     *
     * @param array<string, mixed> $row
     */
    public function restore(array $row, Records $records): void
    {
    }

    /** @param string $by who brought it in; empty: it is a file of ours */
    public function cameFrom(Origin $origin, string $by): void
    {
        $this->broughtInBy = mb_substr($by, 0, 120);
        $this->createdAt = new \DateTimeImmutable($origin->createdAt);
        $this->createdBy = mb_substr($origin->createdBy, 0, 120);
        $this->version = max(1, $origin->version);
        $this->withdrawnBecause = $origin->withdrawnBecause;
        $this->broughtIn = true;
    }

    public function id(): Uuid
    {
        return $this->id;
    }

    public function workspace(): Workspace
    {
        return $this->workspace;
    }

    public function belongsTo(): Uuid
    {
        return $this->belongsTo;
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

    /** As it stands beside it: who made it, or is said to have. */
    public function createdBy(): string
    {
        return AccountWords::author($this->createdBy, $this->broughtInBy);
    }

    /** As it goes out with a device file. */
    public function saidBy(): string
    {
        return $this->createdBy;
    }

    public function broughtIn(): bool
    {
        return $this->broughtIn;
    }

    public function receivedAt(): \DateTimeImmutable
    {
        return $this->receivedAt;
    }

    public function withdrawnBecause(): ?string
    {
        return $this->withdrawnBecause;
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
    public function written(string $fingerprint, string $by, bool $new): void
    {
        $this->fingerprint = $fingerprint;
        $this->changedAt = new \DateTimeImmutable();
        if ($new) {
            $this->createdBy = $by;
        } else {
            ++$this->version;
        }
    }
}
