<?php

declare(strict_types=1);

namespace Lustrum\Http\Record;

final readonly class HistoryLine
{
    /**
     * @param array<array-key, mixed>|null $was null where it was made
     * @param array<array-key, mixed>      $is
     */
    public function __construct(
        public string $id,
        public string $by,
        public string $at,
        public ?array $was,
        public array $is,
    ) {
    }
}
