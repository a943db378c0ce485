<?php

declare(strict_types=1);

namespace Lustrum\Shared;

use Symfony\Component\Validator\Constraint;

/** An identifier that must be one where there is any: an empty text is none. A device file has a hundred thousand of them. */
#[\Attribute(\Attribute::TARGET_PROPERTY | \Attribute::TARGET_PARAMETER)]
final class Identifier extends Constraint
{
}
