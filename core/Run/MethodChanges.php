<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

use Lustrum\Core\Quantity\Digits;

/**
 * What became otherwise between two states of a method.
 *
 * Rig, instruments, settings and conditions are compared run by run, so that a change of what they should be breaks nothing;
 * what a number or an answer *means* does.
 */
final class MethodChanges
{
    private const MEANING = [
        'channel' => ['formula', 'whenStopped', 'calibration'], 'constant' => ['value'], 'question' => ['text'], 'factor' => [],
        'condition' => [],
        'setting' => [],
    ];

    private const TOLD = [
        'channel' => ['unit', 'instrument', 'resolution', 'low', 'high', 'difference'], 'constant' => ['name', 'u'], 'question' => [],
        'factor' => ['unit', 'step', 'levels', 'harder', 'climbs', 'kind', 'role'], 'condition' => ['unit', 'tolerance', 'aim', 'intended'],
        'setting' => ['unit', 'intended', 'tolerance', 'low', 'high', 'lock'],
    ];

    /** @return list<MethodChange> */
    public static function between(MethodState $was, MethodState $is): array
    {
        $out = [];
        foreach (['rig' => false, 'heldWhen' => true, 'endPoint' => true] as $field => $breaks) {
            if (trim($was->$field) !== trim($is->$field)) {
                // What nobody had said before cannot be what results were made by.
                $out[] = new MethodChange($field, '', '', trim($was->$field), trim($is->$field), $breaks && trim($was->$field) !== '');
            }
        }

        return [
            ...$out,
            ...self::lists('channel', array_column($was->channels, null, 'key'), array_column($is->channels, null, 'key')),
            ...self::lists('constant', array_column($was->constants, null, 'key'), array_column($is->constants, null, 'key')),
            ...self::lists('question', array_column($was->questions, null, 'key'), array_column($is->questions, null, 'key')),
            ...self::lists('factor', array_column($was->factors, null, 'name'), array_column($is->factors, null, 'name')),
            ...self::lists('condition', array_column($was->conditions, null, 'name'), array_column($is->conditions, null, 'name')),
            ...self::lists('setting', array_column($was->settings, null, 'name'), array_column($is->settings, null, 'name')),
        ];
    }

    public static function breaks(MethodState $was, MethodState $is): bool
    {
        return array_filter(self::between($was, $is), static fn (MethodChange $c): bool => $c->breaks) !== [];
    }

    /**
     * @param array<string, object> $was
     * @param array<string, object> $is
     *
     * @return list<MethodChange>
     */
    private static function lists(string $what, array $was, array $is): array
    {
        $out = [];
        foreach ($was + $is as $name => $one) {
            $name = (string) $name;
            if (!isset($was[$name]) || !isset($is[$name])) {
                $out[] = new MethodChange($what, $name, '', isset($was[$name]) ? $name : '', isset($is[$name]) ? $name : '', false);
                continue;
            }
            foreach ([...self::MEANING[$what], ...self::TOLD[$what]] as $field) {
                [$before, $after] = [self::said($was[$name], $field), self::said($is[$name], $field)];
                if ($before !== $after) {
                    $out[] = new MethodChange($what, $name, $field, $before, $after, in_array($field, self::MEANING[$what], true));
                }
            }
        }

        return $out;
    }

    private static function said(object $one, string $field): string
    {
        $value = get_object_vars($one)[$field] ?? null;

        return match (true) {
            $value instanceof \BackedEnum => (string) $value->value,
            is_float($value) => Digits::short($value),
            is_bool($value) => $value ? 'yes' : 'no',
            is_array($value) => implode(', ', array_map(self::item(...), $value)),
            is_string($value) => trim($value),
            default => '',
        };
    }

    private static function item(mixed $item): string
    {
        return $item instanceof CalibrationPoint ? Digits::short($item->shown).' → '.Digits::short($item->really) : (is_string($item) ? $item : '');
    }
}
