<?php

declare(strict_types=1);

namespace Lustrum\Shared\Refusal;

/** What was decided or ended is not written anew. */
final class Settled extends Refusal
{
    public static function candidate(): self
    {
        return new self('This candidate was decided on; the record stays as it is. Propose it again if it should come back.');
    }

    public static function decision(): self
    {
        return new self('A decision is not rewritten. Decide anew on the next build.');
    }

    public static function lastLead(): self
    {
        return new self('A workspace needs a lead. Make somebody else lead first.');
    }
}
