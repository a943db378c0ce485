<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

use Lustrum\Core\CoreException;
use Lustrum\Core\Formula\Formula;
use Lustrum\Core\Formula\Variable;
use Lustrum\Core\InvalidInput;

/**
 * Parameters that are worked out from others of the same build: a ratio, an area, a share. They are named as they are called,
 * with spaces, and follow what they are worked out from, with its uncertainty (JCGM 100:2008, 5.1.2).
 */
final class Followed
{
    /**
     * @param list<Parameter> $known what it may be worked out from
     * @param string          $unit  in which it is wanted; empty: that of the SI
     *
     * @throws CoreException when it names what is not there, has no value, or does not fit its unit
     */
    public static function value(string $name, string $formula, string $unit, array $known): Parameter
    {
        [$expression, $used] = self::named($formula, $known);
        $variables = [];
        foreach ($used as $key => $parameter) {
            if ($parameter->words !== '') {
                throw InvalidInput::because(sprintf('“%s” is “%s”: it is no number.', $parameter->name, $parameter->words), 'formula');
            }
            $unitless = in_array($parameter->unit, ['', '1', 'count'], true);
            // A whole number without a unit was counted, not measured: 48 teeth are 48.
            $isCounted = $unitless && $parameter->u === null && floor($parameter->value) === $parameter->value;
            $variables[$key] = Variable::of(
                $parameter->value, $parameter->unit === '' ? '1' : $parameter->unit, $isCounted ? 0.0 : $parameter->u,
                $parameter->resolution,
            );
        }
        $result = Formula::read($expression, array_keys($variables))->evaluate($variables, $unit === '' ? null : $unit);
        $si = Variable::of($result->value, $result->unit)->values[0];

        $isWhole = $result->u === 0.0 && floor($result->value) === $result->value;

        return new Parameter($name, $result->value, $result->unit, $isWhole ? 1.0 : null, $si, '', $result->u > 0.0 ? $result->u : null);
    }

    /**
     * Which parameters a formula names.
     *
     * @param list<Parameter> $known
     *
     * @return list<string> names
     */
    public static function uses(string $formula, array $known): array
    {
        return array_values(array_map(static fn (Parameter $p): string => $p->name, self::named($formula, $known)[1]));
    }

    /**
     * All that follow, worked out in an order in which each comes after what it is worked out from.
     *
     * @param list<Parameter>                                  $known     all parameters, those that follow with their last value
     * @param array<string, array{formula: string, unit: string}> $formulas by name
     *
     * @return array<string, Parameter> by name; what cannot be worked out is left out
     *
     * @throws InvalidInput at the formula, when one is worked out from itself
     */
    public static function all(array $known, array $formulas): array
    {
        $values = array_column($known, null, 'name');
        $waits = array_map(static fn (array $f): array => self::uses($f['formula'], $known), $formulas);
        $out = [];
        while ($waits !== []) {
            $ready = array_filter(
                $waits,
                static fn (array $uses): bool => array_intersect($uses, array_map(strval(...), array_keys($waits))) === [],
            );
            if ($ready === []) {
                throw InvalidInput::because(sprintf('“%s” would be worked out from itself.', (string) array_key_first($waits)), 'formula');
            }
            foreach (array_keys($ready) as $name) {
                try {
                    $values[$name] = $out[$name] = self::value(
                        (string) $name, $formulas[$name]['formula'], $formulas[$name]['unit'], array_values($values),
                    );
                } catch (CoreException) {
                    // It keeps what it was, and says so where it is shown.
                }
                unset($waits[$name]);
            }
        }

        return $out;
    }

    /**
     * @param list<Parameter> $known
     *
     * @return array{string, array<string, Parameter>} the formula in variables, and what each stands for
     */
    private static function named(string $formula, array $known): array
    {
        usort($known, static fn (Parameter $a, Parameter $b): int => mb_strlen($b->name) <=> mb_strlen($a->name));
        $used = [];
        foreach ($known as $i => $parameter) {
            $key = 'q'.$i.'_';
            $replaced = preg_replace(
                '/(?<![\p{L}\p{N}_])'.preg_quote($parameter->name, '/').'(?![\p{L}\p{N}_])/iu', $key, $formula, -1, $count,
            );
            if ($count > 0 && $replaced !== null) {
                $formula = $replaced;
                $used[$key] = $parameter;
            }
        }

        return [$formula, $used];
    }
}
