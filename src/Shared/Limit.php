<?php

declare(strict_types=1);

namespace Lustrum\Shared;

/** How long texts and lists may be; every form says so when one is passed. */
final class Limit
{
    public const NAME = 120;
    public const LINE = 300;
    public const NOTE = 4000;
    public const LIST = 60;
    public const BODY_BYTES = 2_000_000;
    /** Values of one body: what a list may hold is far less. */
    public const VALUES = 20_000;
    public const IMPORT_BYTES = 60_000_000;

    /** A device file that is laid out in another way than Lustrum writes it is held as a whole. */
    public const WHOLE_FILE_BYTES = 20_000_000;
    public const WHOLE_FILE_VALUES = 200_000;

    /** What an integer column of the database holds. */
    public const WHOLE = 2_147_483_647;

    /** Numbers beyond this are no measurement; it is far below what a float can hold. */
    public const NUMBER = 1e12;

    /** The first and last year that a record can be of. */
    public const FIRST_YEAR = 1900;
    public const LAST_YEAR = 2200;
}
