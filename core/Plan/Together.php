<?php

declare(strict_types=1);

namespace Lustrum\Core\Plan;

use Lustrum\Core\CoreException;
use Lustrum\Core\Footing\Control;

/** Which parameters go together over the variants of a plan, and which further variants would tell them apart. */
final readonly class Together
{
    /**
     * @param list<string>                $names
     * @param list<array<string, string>> $further value by parameter, the fewest that would
     */
    private function __construct(
        public array $names,
        public array $further,
    ) {
    }

    /**
     * Only parameters of which the variants have two values: of three nobody could say between which of them it lay.
     *
     * @param list<array<string, string>> $variants value by parameter
     */
    public static function of(array $variants): self
    {
        $values = [];
        foreach (array_keys(array_merge(...$variants)) as $name) {
            $seen = array_values(array_unique(array_map(static fn (array $of): string => $of[$name] ?? '', $variants)));
            if (count($seen) === 2) {
                $values[$name] = ['a' => $seen[0], 'b' => $seen[1]];
            }
        }
        $runs = array_map(static function (array $of) use ($values): array {
            $run = [];
            foreach ($values as $name => $sides) {
                $run[$name] = ($of[$name] ?? '') === $sides['a'] ? 'a' : 'b';
            }

            return $run;
        }, $variants);
        try {
            $control = Control::of(array_map(static fn (): array => ['a' => 0.0, 'b' => 0.0], $values), $runs, 0.0);
        } catch (CoreException) {
            // More than can be held apart at once.
            return new self([], []);
        }

        return new self($control->entangled, array_map(static function (array $further) use ($values): array {
            $out = [];
            foreach ($further['levels'] as $name => $side) {
                $out[$name] = $values[$name][$side];
            }

            return $out;
        }, $control->runs));
    }
}
