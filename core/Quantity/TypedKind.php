<?php

declare(strict_types=1);

namespace Lustrum\Core\Quantity;

/** What somebody typed is. */
enum TypedKind: string
{
    case Equal = 'equal';
    case AtLeast = 'atLeast';
    case AtMost = 'atMost';
    /** It was looked at, and is not known. */
    case Unknown = 'unknown';
    /** A number whose unit nobody remembers: kept, and used for nothing until somebody decides. */
    case UnitUnknown = 'unitUnknown';
}
