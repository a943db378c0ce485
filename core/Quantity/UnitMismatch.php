<?php

declare(strict_types=1);

namespace Lustrum\Core\Quantity;

use Lustrum\Core\CoreException;

/** A quantity of one dimension where another is wanted. */
final class UnitMismatch extends CoreException
{
    public static function between(string $given, string $givenMeasures, string $wanted, string $wantedMeasures): self
    {
        return new self(
            'unit.mismatch',
            sprintf(
                '%s measures %s, but %s is wanted here%s.', $given, $givenMeasures, $wantedMeasures,
                $wanted === '' ? '' : ' (as in '.$wanted.')',
            ),
            'unit',
        );
    }

    /** A scale that shows kg or lb measures a force; the reading can be taken as kgf or lbf. */
    public static function massForForce(string $given): self
    {
        $as = ['kg' => 'kgf', 'g' => 'gf', 'lb' => 'lbf', 'lbs' => 'lbf', 'oz' => 'ozf'][$given] ?? 'kgf';

        return new self(
            'unit.mismatch',
            sprintf(
                '%s is a mass, and this is a force. A scale that shows %s is showing %s: write %s if that is what it was.', $given, $given,
                $as, $as,
            ),
            'unit',
        );
    }
}
