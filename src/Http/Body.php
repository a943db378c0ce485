<?php

declare(strict_types=1);

namespace Lustrum\Http;

/** The body of the request, decoded, typed and checked, as this argument of a controller. */
#[\Attribute(\Attribute::TARGET_PARAMETER)]
final readonly class Body
{
}
