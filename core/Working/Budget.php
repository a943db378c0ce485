<?php

declare(strict_types=1);

namespace Lustrum\Core\Working;

use Lustrum\Core\CoreException;
use Lustrum\Core\InvalidInput;

/** What several users take of what there is: pins, current, memory, or anything else that is counted or measured. */
final readonly class Budget
{
    /**
     * @param array<string, Entry>                                                  $available
     * @param list<array{name: string, count: float, needs: array<string, Entry>}> $uses
     *
     * @return array<string, array{value: float, unit: string, available: float, left: float, share: float|null}> by name, in
     *     the unit of what there is
     *
     * @throws CoreException
     */
    public static function of(array $available, array $uses): array
    {
        if ($available === []) {
            throw InvalidInput::because('Something has to be there.', 'inputs/available');
        }
        $out = [];
        foreach ($available as $name => $there) {
            $taken = 0.0;
            foreach ($uses as $i => $use) {
                $need = $use['needs'][$name] ?? null;
                if ($need === null) {
                    continue;
                }
                try {
                    $taken += $use['count'] * Entry::said($need->si($there->unit)[0], $there->unit, $there->unit);
                } catch (CoreException $e) {
                    throw $e->under('inputs/uses/'.$i.'/needs/'.$name);
                }
            }
            $out[$name] = [
                'value' => $taken, 'unit' => $there->unit, 'available' => $there->value, 'left' => $there->value - $taken,
                'share' => $there->value === 0.0 ? null : $taken / $there->value,
            ];
        }
        foreach ($uses as $i => $use) {
            foreach (array_keys(array_diff_key($use['needs'], $available)) as $name) {
                throw InvalidInput::because(
                    sprintf('Nothing is said of how much “%s” there is.', $name), 'inputs/uses/'.$i.'/needs/'.$name,
                );
            }
        }

        return $out;
    }
}
