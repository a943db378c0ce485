<?php

declare(strict_types=1);

namespace Lustrum\Domain\Document;

use Lustrum\Storage\Preview;

final readonly class DocumentView
{
    /**
     * @param string       $partName of the part that it is of; empty: none
     * @param list<Rating> $ratings
     * @param string       $seen     in it when it came; empty: nothing to mind
     * @param string       $by       who sent it
     */
    public function __construct(
        public string $id,
        public int $version,
        public string $revision,
        public ?string $part,
        public string $partName,
        public ?string $article,
        public string $name,
        public DocumentRole $role,
        public string $author,
        public string $day,
        public string $note,
        public array $ratings,
        public string $type,
        public int $bytes,
        public string $sha256,
        public Preview $preview,
        public string $seen,
        public string $by,
        public string $at,
    ) {
    }
}
