<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

use Lustrum\Core\CoreException;
use Lustrum\Core\Formula\Formula;
use Lustrum\Core\Formula\Variable;
use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Quantity\Quantity;

/** Works derived channels out from the readings of a run, anew whenever they are looked at. */
final class Derivation
{
    /**
     * @param list<Channel>           $channels of the method
     * @param array<string, Quantity> $readings current values by channel
     *
     * @return list<DerivedReading>
     */
    public static function of(array $channels, array $readings): array
    {
        $derived = array_values(array_filter($channels, static fn (Channel $c): bool => $c->isDerived()));
        if ($derived === []) {
            return [];
        }
        $variables = array_map(static fn (Quantity $q): Variable => Variable::of($q->value, $q->unit->symbol, null, $q->resolution), $readings);
        $inputs = [];
        foreach ($readings as $key => $q) {
            $inputs[] = $key.' = '.Digits::typed($q->value, $q->resolution).' '.$q->unit->symbol;
        }

        return array_map(static fn (Channel $c): DerivedReading => self::one($c, $variables, $inputs), $derived);
    }

    /**
     * @param array<string, Variable> $variables
     * @param list<string>            $inputs
     */
    private static function one(Channel $channel, array $variables, array $inputs): DerivedReading
    {
        try {
            $result = Formula::read($channel->formula, array_keys($variables))->evaluate($variables, $channel->unit);
        } catch (CoreException $e) {
            return new DerivedReading($channel, null, null, $inputs, $e->problem === 'variable.unknown', $e->getMessage());
        }

        return new DerivedReading($channel, $result->value, $result->u, $inputs, false, '');
    }
}
