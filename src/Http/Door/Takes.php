<?php

declare(strict_types=1);

namespace Lustrum\Http\Door;

use Lustrum\Shared\Limit;

/** What an address takes as its body. */
enum Takes: string
{
    case Nothing = 'nothing';
    case Json = 'json';
    /** A form with a file, whose size the server before us holds, and PHP after it. */
    case Form = 'form';
    /** A device file, which is read as a stream. */
    case DeviceFile = 'deviceFile';

    /** Null: it is held elsewhere. */
    public function mostBytes(): ?int
    {
        return match ($this) {
            self::Nothing => 0,
            self::Json => Limit::BODY_BYTES,
            self::Form => null,
            self::DeviceFile => Limit::IMPORT_BYTES,
        };
    }
}
