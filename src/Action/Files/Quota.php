<?php

declare(strict_types=1);

namespace Lustrum\Action\Files;

use Lustrum\Account\Workspace;
use Lustrum\Core\Wording\FileWords;
use Lustrum\Facts\StoredFiles;
use Lustrum\Shared\Refusal\NoRoom;
use Lustrum\Storage\Room;
use Lustrum\Storage\RoomLeft;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** How much the files of one workspace may take, so that none leaves the others without room. */
final readonly class Quota
{
    private const GIGABYTE = 1_000_000_000;

    public function __construct(
        private StoredFiles $stored,
        private Room $room,
        #[Autowire('%env(float:LUSTRUM_QUOTA)%')]
        private float $gigabytes,
    ) {
    }

    public function bytes(): int
    {
        return (int) ($this->gigabytes * self::GIGABYTE);
    }

    /** @throws NoRoom where what comes would be too much */
    public function mustHold(Workspace $workspace, int $coming): void
    {
        if ($this->room->left() === RoomLeft::None) {
            throw NoRoom::onDisk();
        }
        $taken = $this->stored->taken($workspace->id()->toRfc4122());
        if ($taken + $coming > $this->bytes()) {
            throw NoRoom::inWorkspace(FileWords::size($taken), FileWords::size($this->bytes()));
        }
    }
}
