<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

/** How the levels of a factor are written. */
enum FactorKind: string
{
    case Number = 'number';
    /** Words in an order, such as empty, half full, full. */
    case Ordered = 'ordered';
    case Words = 'words';
}
