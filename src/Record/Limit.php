<?php

declare(strict_types=1);

namespace Lustrum\Record;

/** How long texts and lists may be; every form says so when one is passed. */
final class Limit
{
    public const NAME = 120;
    public const LINE = 300;
    public const NOTE = 4000;
    public const LIST = 60;
    public const BODY_BYTES = 2_000_000;
}
