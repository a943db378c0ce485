<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\Parameter;

/** Variants of a build that differ in several parameters: what each does over the levels of the others. */
final readonly class Grid
{
    /** @param list<string> $names of parameters in which the variants that were tried differ; none where it is one alone */
    private function __construct(
        public array $names,
    ) {
    }

    public static function of(Measured $m, Seen $seen, ?Build $build): self
    {
        $values = [];
        foreach ($build->arms ?? [] as $own) {
            foreach ($own as $parameter) {
                $values[$parameter->name] = [];
            }
        }
        foreach ($m->bunches as $bunch) {
            foreach (array_keys($values) as $name) {
                $values[$name][self::value($seen->configuration($bunch->circumstances->made), (string) $name)] = true;
            }
        }
        $names = array_map(strval(...), array_keys(array_filter($values, static fn (array $of): bool => count($of) > 1)));

        return new self(count($names) > 1 ? $names : []);
    }

    /** As it is said; empty where it has none. */
    public static function value(Configuration $made, string $name): string
    {
        $found = array_values(array_filter($made->parameters, static fn (Parameter $p): bool => $p->name === $name))[0] ?? null;

        return $found?->text() ?? '';
    }

    /** The levels of the others, as they are said. */
    public function others(Configuration $made, string $name): string
    {
        $others = array_values(array_diff($this->names, [$name]));

        return implode(' · ', array_map(static fn (string $other): string => trim($other.' '.self::value($made, $other)), $others));
    }
}
