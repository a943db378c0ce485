<?php

declare(strict_types=1);

namespace Lustrum\Shared\Refusal;

/** A body or a file of a kind that is not taken here. */
final class WrongKind extends Refusal
{
    public static function body(): self
    {
        return new self('Only JSON is taken here, and forms for files. Nothing was read.');
    }

    public static function noBody(): self
    {
        return new self('This address takes no body. Nothing was read.');
    }

    public static function program(string $name): self
    {
        return new self(sprintf(
            '“%s” is a program or a page that would run where it is opened. Send it as a source if it belongs to the build, or packed.',
            $name,
        ));
    }

    public static function none(string $name, string $kind): self
    {
        return new self(sprintf('“%s” is called like a %s and is none. It was not taken.', $name, $kind));
    }

    public static function file(string $taken): self
    {
        return new self(sprintf('This is not a file that Lustrum can take. Send %s.', $taken));
    }
}
