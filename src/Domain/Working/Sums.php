<?php

declare(strict_types=1);

namespace Lustrum\Domain\Working;

use Lustrum\Core\CoreException;
use Lustrum\Core\Working\Work;
use Lustrum\Core\Working\Workings;
use Lustrum\Shared\Refusal\Invalid;

/** A sum by its name, or one's own. */
final class Sums
{
    /** Name of what is no sum of the core. */
    public const OWN = 'own';

    /** @throws Invalid where there is none */
    public static function of(string $name, ?OwnFormula $own): Work
    {
        if ($name === self::OWN) {
            return ($own ?? throw Invalid::at('own', 'Its formula is missing.'))->work('own.');
        }
        try {
            return Workings::named($name);
        } catch (CoreException $e) {
            throw Invalid::at('sum', $e->getMessage());
        }
    }
}
