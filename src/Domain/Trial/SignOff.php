<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Shared\Instant;
use Lustrum\Shared\Name;
use Lustrum\Shared\Note;
use Symfony\Component\Validator\Constraints as Assert;

/** A named person agrees that a trial may be run, or starts it without safety limits, with a reason. */
final readonly class SignOff
{
    /** @param string $at when it was written down; sent back as it came, or it is written down anew */
    public function __construct(
        #[Name]
        public string $by,
        #[Note]
        public string $note = '',
        #[Assert\Length(max: 40, maxMessage: 'At most {{ limit }} characters.')]
        public string $at = '',
    ) {
    }

    /** As it is written down now, or as it stands, where nothing of it has changed. */
    public function after(?self $stood): self
    {
        return $stood !== null && $stood->at !== '' && $stood->at === $this->at && $stood->by === $this->by && $stood->note === $this->note
            ? $stood : new self($this->by, $this->note, Instant::write(new \DateTimeImmutable()));
    }
}
