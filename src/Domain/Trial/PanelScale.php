<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Core\Run\Row;
use Lustrum\Shared\Name;
use Symfony\Component\Validator\Constraints as Assert;

/** What raters are asked on one channel: on a line with words at its ends, or in the words of its metric. */
final readonly class PanelScale
{
    /**
     * @param string $channel key
     * @param string $low     what stands at the low end of the line: 'tiring'
     */
    public function __construct(
        #[Name]
        public string $channel,
        #[Assert\Length(max: 40, maxMessage: 'At most {{ limit }} characters.')]
        public string $low = '',
        #[Assert\Length(max: 40, maxMessage: 'At most {{ limit }} characters.')]
        public string $high = '',
    ) {
    }

    /** @param array<array-key, mixed> $row */
    public static function fromRow(array $row): self
    {
        return new self(Row::text($row['channel'] ?? ''), Row::text($row['low'] ?? ''), Row::text($row['high'] ?? ''));
    }
}
