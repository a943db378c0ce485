<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

final readonly class PanelSheetView
{
    /**
     * @param list<Found> $ratings
     * @param bool        $late    it came after the panel was unblinded, and counts for nothing
     */
    public function __construct(
        public string $id,
        public int $version,
        public string $panel,
        public string $rater,
        public string $code,
        public array $ratings,
        public ?Preferred $prefers,
        public string $guess,
        public string $note,
        public bool $late,
        public string $by,
        public string $at,
    ) {
    }
}
