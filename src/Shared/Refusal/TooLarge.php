<?php

declare(strict_types=1);

namespace Lustrum\Shared\Refusal;

/** Larger than can be taken at once. */
final class TooLarge extends Refusal
{
    public static function body(int $limitBytes): self
    {
        return new self(
            sprintf(
                'This is larger than %d MB, which is the most that can be sent at once. Nothing was saved.', intdiv($limitBytes, 1_000_000),
            ),
        );
    }

    public static function values(int $most): self
    {
        return new self(sprintf(
            'This holds more than %s values, which is the most that can be sent at once. Nothing was saved.', number_format($most),
        ));
    }

    public static function laidOut(int $limitBytes): self
    {
        return new self(sprintf(
            'A device file of more than %d MB is read only as Lustrum writes it, with each entry on a line of its own. Nothing was saved.',
            intdiv($limitBytes, 1_000_000),
        ));
    }

    public static function file(string $what, int $bytes, int $limitBytes): self
    {
        return new self(
            sprintf('This %s has %d MB; at most %d MB can be taken.', $what, (int) round($bytes / 1e6), intdiv($limitBytes, 1_000_000)),
        );
    }

    public static function cutOff(int $limitBytes): self
    {
        return new self(sprintf('The file did not arrive whole; at most %d MB can be taken.', intdiv($limitBytes, 1_000_000)));
    }

    public static function pixels(int $width, int $height, int $side, int $megapixels): self
    {
        return new self(sprintf(
            'This picture is %d × %d pixels; at most %d on a side and %d megapixels can be taken. Make it smaller and send it again.',
            $width, $height, $side, $megapixels,
        ));
    }
}
