<?php

declare(strict_types=1);

namespace Lustrum\Shared\Refusal;

/** Somebody else changed it meanwhile: both versions are kept, theirs here. */
final class ChangedMeanwhile extends Refusal
{
    protected function __construct(
        public readonly object $theirs,
    ) {
        parent::__construct('Somebody else changed this while you were editing. Your text is still here; look at theirs and save again.');
    }

    public static function to(object $theirs): self
    {
        return new self($theirs);
    }
}
