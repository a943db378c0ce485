<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Room;

/** What takes the room of a workspace. */
final readonly class RoomSheet
{
    /**
     * @param list<RoomRow>  $devices the one that takes most first
     * @param list<RoomFile> $largest the largest files
     */
    public function __construct(
        public string $sentence,
        public int $taken,
        public int $most,
        public array $devices,
        public array $largest,
    ) {
    }
}
