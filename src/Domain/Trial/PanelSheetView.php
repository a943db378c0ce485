<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

/** What a rater said; while the panel is blind, only that something was said. */
final readonly class PanelSheetView
{
    /**
     * @param list<Found> $ratings
     * @param bool        $notBlind a member rated it at a session of their own
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
        public bool $notBlind,
        public string $by,
        public string $at,
    ) {
    }
}
