<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

use Lustrum\Core\CoreException;
use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Quantity\Quantity;

/**
 * What a run was set to, in steps that can be told apart: what lies within the tolerance of what was intended is that.
 */
final class AsSet
{
    /** Texts that are remembered. */
    private const MOST = 5_000;

    /** @var array<string, string> by rule and text: a pure function of both, so this is only speed */
    private static array $known = [];

    /** @return array<string, string> by name; without what nobody recorded */
    public static function of(RunFact $run): array
    {
        $out = [];
        foreach ($run->configuration->settings as $rule) {
            $said = self::said($rule, trim($run->settings[$rule->name] ?? ''));
            if ($said !== '') {
                $out[$rule->name] = $said;
            }
        }

        return $out;
    }

    /** @param array<string, string> $set as of() gives it */
    public static function key(array $set): string
    {
        return $set === [] ? '' : implode("\x1e", array_keys($set))."\x1f".implode("\x1e", $set);
    }

    private static function said(SettingRule $rule, string $text): string
    {
        if ($text === '' || mb_strtolower($text) === 'unknown') {
            return '';
        }
        if (count(self::$known) > self::MOST) {
            self::$known = [];
        }
        $key = implode("\x1f", [$rule->unit, $rule->intended, $rule->tolerance, $text]);

        return self::$known[$key] ??= self::step($rule, $text);
    }

    private static function step(SettingRule $rule, string $text): string
    {
        if ($rule->unit === '') {
            return mb_strtolower($text);
        }
        try {
            $value = Quantity::typedBeside($text, $rule->unit)->to($rule->unit)->value;
        } catch (CoreException) {
            return '';
        }
        if ($rule->intended !== null && $rule->tolerance !== null && $rule->tolerance > 0) {
            $step = 2 * $rule->tolerance;
            // Half a step either way is still what was intended, whatever the last bit says.
            $off = ($value - $rule->intended) / $step;
            $value = $rule->intended + $step * (abs($off) <= 0.5 + 1e-9 ? 0.0 : round($off));
        }

        return Digits::short($value).' '.$rule->unit;
    }
}
