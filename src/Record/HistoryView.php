<?php

declare(strict_types=1);

namespace Lustrum\Record;

final readonly class HistoryView
{
    /**
     * @param array<string, mixed>|null $was
     * @param array<string, mixed>      $is
     */
    public function __construct(
        public string $id,
        public string $record,
        public string $workspace,
        public string $kind,
        public string $by,
        public string $at,
        public ?array $was,
        public array $is,
    ) {
    }
}
