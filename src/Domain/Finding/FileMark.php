<?php

declare(strict_types=1);

namespace Lustrum\Domain\Finding;

use Lustrum\Core\Run\Row;
use Symfony\Component\Validator\Constraints as Assert;

/** A moment of a clip or a sound that somebody marked. */
final readonly class FileMark
{
    /**
     * @param float  $at   s from its beginning
     * @param string $what is seen or heard there, or what a display shows
     */
    public function __construct(
        #[Assert\Range(notInRangeMessage: 'Between its beginning and four hours.', min: 0, max: 14400)]
        public float $at,
        #[Assert\Length(max: 300, maxMessage: 'At most {{ limit }} characters.')]
        public string $what = '',
    ) {
    }

    /** @param array<array-key, mixed> $row */
    public static function fromRow(array $row): self
    {
        return new self(Row::number($row['at'] ?? 0), Row::text($row['what'] ?? ''));
    }
}
