<?php

declare(strict_types=1);

namespace Lustrum\Action\Files;

use Lustrum\Account\Workspace;
use Lustrum\Core\Wording\FileWords;
use Lustrum\Facts\StoredFiles;
use Lustrum\Shared\Refusal\NoSpace;
use Lustrum\Storage\DiskSpace;
use Lustrum\Storage\SpaceLeft;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** How much the files of one workspace may take, so that none leaves the others without space. */
final readonly class Quota
{
    private const GIGABYTE = 1_000_000_000;

    public function __construct(
        private StoredFiles $stored,
        private DiskSpace $disk,
        #[Autowire('%env(float:LUSTRUM_QUOTA)%')]
        private float $gigabytes,
    ) {
    }

    public function bytes(): int
    {
        return (int) ($this->gigabytes * self::GIGABYTE);
    }

    /** @throws NoSpace where what comes would be too much */
    public function mustHold(Workspace $workspace, int $coming): void
    {
        if ($this->disk->left() === SpaceLeft::None) {
            throw NoSpace::onDisk();
        }
        $taken = $this->stored->taken($workspace->id()->toRfc4122());
        if ($taken + $coming > $this->bytes()) {
            throw NoSpace::inWorkspace(FileWords::size($taken), FileWords::size($this->bytes()));
        }
    }
}
