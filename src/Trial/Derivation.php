<?php

declare(strict_types=1);

namespace Lustrum\Trial;

use Lustrum\Core\CoreException;
use Lustrum\Core\Formula\Formula;
use Lustrum\Core\Formula\Variable;
use Lustrum\Core\Quantity\Digits;
use Lustrum\Method\Channel;
use Lustrum\Record\Measure;

/** Works derived channels out from the readings of a run, anew whenever they are looked at. */
final class Derivation
{
    /**
     * @param list<Channel>          $channels of the method
     * @param array<string, Measure> $readings current values by channel
     *
     * @return list<DerivedReading>
     */
    public static function of(array $channels, array $readings): array
    {
        $variables = array_map(static fn (Measure $m): Variable => Variable::of($m->value, $m->unit, null, $m->resolution), $readings);
        $inputs = array_map(static fn (string $key, Measure $m): string => $key.' = '.$m->view()->text, array_keys($readings), array_values($readings));
        $out = [];
        foreach ($channels as $channel) {
            if ($channel->isDerived()) {
                $out[] = self::one($channel, $variables, $inputs);
            }
        }

        return $out;
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
            $why = $e->problem === 'variable.unknown' ? 'Waits for the channels that it is worked out from.' : $e->getMessage();

            return new DerivedReading($channel->key, $channel->metric, $channel->formula, null, null, null, $inputs, $why);
        }

        return new DerivedReading($channel->key, $channel->metric, $channel->formula, Digits::uncertain($result->value, $result->u).' '.$channel->unit, $result->value, $result->u, $inputs, '');
    }
}
