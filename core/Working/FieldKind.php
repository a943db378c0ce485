<?php

declare(strict_types=1);

namespace Lustrum\Core\Working;

/** What is entered into a field. */
enum FieldKind: string
{
    case One = 'one';
    case Many = 'many';
    case Choice = 'choice';
    case Lines = 'lines';
}
