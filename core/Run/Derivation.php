<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

use Lustrum\Core\CoreException;
use Lustrum\Core\Formula\Formula;
use Lustrum\Core\Formula\Variable;
use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Quantity\Units;

/** Works derived channels out from the readings of a run, anew whenever they are looked at. */
final class Derivation
{
    /**
     * @param list<Channel>           $channels of the method
     * @param array<string, Variable> $readings current values by channel
     *
     * @return list<DerivedReading>
     */
    public static function of(array $channels, array $readings): array
    {
        $out = [];
        foreach ($channels as $channel) {
            if ($channel->isDerived()) {
                $out[] = self::one($channel, $readings);
            }
        }

        return $out;
    }

    /**
     * @param array<string, Quantity> $readings current values by channel
     *
     * @return array<string, Variable> as a formula takes them: a reading is as uncertain as its last digit
     */
    public static function variables(array $readings): array
    {
        return array_map(static fn (Quantity $q): Variable => Variable::of($q->value, $q->unit->symbol, null, $q->resolution), $readings);
    }

    /**
     * What formulas of a run take: its readings, put right where a channel was calibrated, and the constants of its fixture.
     *
     * @param array<string, Variable> $readings by channel
     *
     * @return array<string, Variable>
     */
    public static function onFixture(array $readings, Configuration $configuration): array
    {
        foreach ($configuration->channels as $channel) {
            $line = isset($readings[$channel->key]) ? $channel->calibrated() : null;
            if ($line !== null) {
                $readings[$channel->key] = self::corrected($readings[$channel->key], $channel, $line);
            }
        }
        foreach ([...$configuration->constants, ...$configuration->empties] as $constant) {
            $readings[$constant->key] = Variable::of($constant->value, $constant->unit, $constant->u);
        }

        return $readings;
    }

    private static function corrected(Variable $shown, Channel $channel, Calibration $line): Variable
    {
        $unit = Units::parse($channel->unit);

        return Variable::of(
            $line->corrected($unit->fromSi($shown->values[0])), $channel->unit, $line->uncertainty($shown->u / $unit->factor),
        );
    }

    /**
     * @param array<string, Quantity> $readings current values by channel
     *
     * @return list<string> as 'pull = 12.5 N'
     */
    public static function inputs(array $readings): array
    {
        $inputs = [];
        foreach ($readings as $key => $q) {
            $inputs[] = $key.' = '.Digits::typed($q->value, $q->resolution).' '.$q->unit->symbol;
        }

        return $inputs;
    }

    /** @param array<string, Variable> $variables */
    private static function one(Channel $channel, array $variables): DerivedReading
    {
        try {
            $result = Formula::read($channel->formula, array_keys($variables))->evaluate($variables, $channel->unit);
        } catch (CoreException $e) {
            return new DerivedReading($channel, null, null, $e->problem === 'variable.unknown', $e->getMessage());
        }

        return new DerivedReading($channel, $result->value, $result->u, false, '');
    }
}
