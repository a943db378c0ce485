<?php

declare(strict_types=1);

namespace Lustrum\Shared\Refusal;

/** There is no room for it: on the server's disk, or in what a workspace may take. */
final class NoSpace extends Refusal
{
    public static function onDisk(): self
    {
        return new self(
            'The disk of the server is full, so this could not be taken in. Nothing was saved by halves; what you typed is kept. '
            .'Tell whoever runs Lustrum, and try again.',
        );
    }

    /** @param string $used and $most as people say them */
    public static function inWorkspace(string $used, string $most): self
    {
        return new self(sprintf(
            'This would be more than the %s that this workspace may take (%s are taken). Nothing was saved. '
            .'What takes it up stands under “Storage” in the menu at your name.', $most, $used,
        ));
    }
}
