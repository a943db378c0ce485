<?php

declare(strict_types=1);

namespace Lustrum\Shared\Refusal;

/** A person may see it, but not do this with it. */
final class NotAllowed extends Refusal
{
    public static function toWrite(): self
    {
        return new self('You may look at this workspace, but not change it. A lead can make you a member.');
    }

    public static function toRate(string $why): self
    {
        return new self($why);
    }

    public static function toOpen(): self
    {
        return new self('Only a lead may look before a panel is unblinded.');
    }

    public static function toLead(): self
    {
        return new self('Only a lead may say who is in, and see who came and went.');
    }
}
