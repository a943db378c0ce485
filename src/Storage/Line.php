<?php

declare(strict_types=1);

namespace Lustrum\Storage;

/** A line of files that wait to be prepared, each with a worker of its own, so that nobody's picture waits for somebody's clip. */
enum Line: string
{
    /** Pictures, and documents of which a picture is made. */
    case Pictures = 'pictures';
    /** Sounds and clips. */
    case Recordings = 'recordings';

    /** Seconds of processor time that one process of one file may take. */
    public function seconds(): int
    {
        return match ($this) {
            self::Pictures => 10,
            self::Recordings => 600,
        };
    }

    /** Of its memory, all that it addresses: a picture of 50 megapixels takes 200 MB unpacked, and as much again turned. */
    public function bytes(): int
    {
        return match ($this) {
            self::Pictures => 1_500_000_000,
            self::Recordings => 2_500_000_000,
        };
    }

    /** On a busy machine a second of work takes many; one that only waits ends all the same. */
    public function patience(): int
    {
        return match ($this) {
            self::Pictures => 120,
            self::Recordings => 1800,
        };
    }
}
