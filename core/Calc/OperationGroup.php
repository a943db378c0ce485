<?php

declare(strict_types=1);

namespace Lustrum\Core\Calc;

/** The operations of one subject. */
interface OperationGroup
{
    /** @return list<Operation> */
    public static function operations(): array;
}
