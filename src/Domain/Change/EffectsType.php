<?php

declare(strict_types=1);

namespace Lustrum\Domain\Change;

use Lustrum\Core\Change\Expectation;
use Lustrum\Core\Run\Row;
use Lustrum\Shared\Doctrine\ValueType;

final class EffectsType extends ValueType
{
    public const NAME = 'effects';

    protected function read(array $stored): mixed
    {
        return array_map(static function (array $row): ExpectedEffect {
            $e = Expectation::fromRow($row);

            return new ExpectedEffect($e->metric, $e->unit, $e->low, $e->likely, $e->high, $e->mode, $e->margin);
        }, Row::rows($stored));
    }
}
