<?php

declare(strict_types=1);

namespace Lustrum\Storage;

/** Showing a file takes more processor time or memory than one file is given. */
final class LimitPassed extends \RuntimeException
{
    public static function after(int $seconds): self
    {
        return new self(sprintf('Showing this file takes more work than one file is given (%d s of processor time).', $seconds));
    }
}
