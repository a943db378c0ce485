<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Core\Run\Row;
use Lustrum\Shared\Instant;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Name;
use Lustrum\Shared\Note;
use Symfony\Component\Validator\Constraints as Assert;

/** A named person agrees that a trial may be run, or starts it without safety limits, with a reason. */
final readonly class SignOff
{
    /**
     * @param string $at when it was written down; sent back as it came, or it is written down anew
     * @param string $as in which capacity, as the method asks for it; empty: in no particular one
     */
    public function __construct(
        #[Name]
        public string $by,
        #[Note]
        public string $note = '',
        #[Assert\Length(max: 40, maxMessage: 'At most {{ limit }} characters.')]
        public string $at = '',
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $as = '',
    ) {
    }

    /** As it is written down now, or as it stands, where nothing of it has changed. */
    public function after(?self $stood): self
    {
        return $stood !== null && $stood->at !== '' && $stood->at === $this->at && $stood->by === $this->by && $stood->note === $this->note && $stood->as === $this->as
            ? $stood : new self($this->by, $this->note, Instant::write(new \DateTimeImmutable()), $this->as);
    }

    public function isAs(string $role): bool
    {
        return $role === '' || mb_strtolower(trim($this->as)) === mb_strtolower(trim($role));
    }

    /** @param array<array-key, mixed> $row */
    public static function fromRow(array $row): self
    {
        return new self(
            Row::text($row['by'] ?? ''), Row::text($row['note'] ?? ''), Row::text($row['at'] ?? ''), Row::text($row['as'] ?? ''),
        );
    }
}
