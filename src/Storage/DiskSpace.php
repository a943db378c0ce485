<?php

declare(strict_types=1);

namespace Lustrum\Storage;

use Symfony\Component\DependencyInjection\Attribute\Autowire;

/** How much space there is where files are kept. */
final readonly class DiskSpace
{
    /** Bytes below which there is little, and none: a clip, and what a database needs to end in order. */
    private const LITTLE = 2_000_000_000;
    private const NONE = 50_000_000;

    public function __construct(
        #[Autowire('%lustrum.files%')]
        private string $folder,
    ) {
    }

    public function left(): SpaceLeft
    {
        $free = @disk_free_space(is_dir($this->folder) ? $this->folder : dirname($this->folder));

        return match (true) {
            // A store elsewhere has no disk of ours.
            $free === false, $free >= self::LITTLE => SpaceLeft::Enough,
            $free >= self::NONE => SpaceLeft::Little,
            default => SpaceLeft::None,
        };
    }
}
