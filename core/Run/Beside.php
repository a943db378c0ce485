<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

/**
 * What has been said of two severities; a pure function of both, so this is only speed.
 *
 * @internal to Severity
 */
final class Beside
{
    public const MOST = 20_000;

    /** @var array<string, Hardness> by the keys of both */
    public static array $known = [];

    /** @var \WeakMap<Severity, string>|null what each is, in short */
    public static ?\WeakMap $keys = null;
}
