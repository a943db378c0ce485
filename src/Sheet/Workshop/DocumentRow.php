<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Workshop;

use Lustrum\Domain\Document\DocumentView;

/** A file beside the parent's. */
final readonly class DocumentRow
{
    /**
     * @param string       $from  letter of the build that it was taken over from; empty: it is this build's own
     * @param string       $note  where it differs and nobody said why
     * @param list<string> $claims what it asserts, in sentences
     */
    public function __construct(
        public DocumentView $document,
        public string $from,
        public string $note,
        public array $claims,
        public string $size,
    ) {
    }
}
