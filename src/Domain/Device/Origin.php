<?php

declare(strict_types=1);

namespace Lustrum\Domain\Device;

use Lustrum\Core\Run\Row;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Note;
use Symfony\Component\Validator\Constraints as Assert;

/** Where a device began: somebody else's design, or a build of another device; it stays with it. */
final readonly class Origin
{
    /**
     * @param string      $name        of the design, or of the build: 'Wren F'
     * @param string      $terms       on which it may be used
     * @param string      $alterations from it
     * @param string|null $build       of another device here
     */
    public function __construct(
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $name = '',
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $author = '',
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $terms = '',
        #[Note]
        public string $alterations = '',
        #[Identifier]
        public ?string $build = null,
    ) {
    }

    /** @param array<array-key, mixed> $row */
    public static function fromRow(array $row): self
    {
        return new self(
            Row::text($row['name'] ?? ''), Row::text($row['author'] ?? ''), Row::text($row['terms'] ?? ''),
            Row::text($row['alterations'] ?? ''), Row::textOrNull($row['build'] ?? null),
        );
    }
}
