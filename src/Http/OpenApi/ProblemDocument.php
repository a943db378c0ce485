<?php

declare(strict_types=1);

namespace Lustrum\Http\OpenApi;

use Lustrum\Shared\AskedBack;

/** An RFC 9457 problem document, for the description of the interface. */
final readonly class ProblemDocument
{
    /**
     * @param list<Violation>|null      $violations what is wrong where; empty or absent otherwise
     * @param list<AskedBack>|null       $questions  for a reading that is asked back
     * @param array<string, mixed>|null $theirs     for a conflict: the record as it is now
     */
    public function __construct(
        public string $type,
        public string $title,
        public int $status,
        public string $detail,
        public ?array $violations = null,
        public ?array $questions = null,
        public ?array $theirs = null,
    ) {
    }
}
