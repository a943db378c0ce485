<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Alike\AlikeRuns;
use Lustrum\Core\Alike\CellDifference;
use Lustrum\Core\Alike\CompareWithin;
use Lustrum\Core\Alike\WithinVerdict;
use Lustrum\Core\CoreException;
use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\Parameter;

/** Variants of a build that differ in several parameters: what each does over the levels of the others. */
final readonly class Grid
{
    /** Of more values pairs are not looked at one by one. */
    private const VALUES = 4;

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
        return implode(' · ', array_map(
            static fn (string $other): string => trim($other.' '.self::value($made, $other)), array_values(array_diff($this->names, [$name])),
        ));
    }

    /**
     * Pairs that stand the other way round at some level of the others.
     *
     * @param list<AlikeRuns>       $runs
     * @param array<string, string> $texts levels as they are said
     *
     * @return list<array{a: string, b: string, at: list<string>, hangs: bool}> hangs: so much that nothing is said of all levels
     *     together
     */
    public static function turning(array $runs, Terms $terms, array $texts): array
    {
        $of = [];
        foreach ($runs as $run) {
            $of[$run->side][] = $run;
        }
        $names = array_map(strval(...), array_keys($of));
        $out = [];
        foreach (count($names) > self::VALUES ? [] : $names as $i => $a) {
            foreach (array_slice($names, $i + 1) as $b) {
                $both = [
                    ...array_map(static fn (AlikeRuns $r): AlikeRuns => $r->of('a'), $of[$a]),
                    ...array_map(static fn (AlikeRuns $r): AlikeRuns => $r->of('b'), $of[$b]),
                ];
                try {
                    $found = CompareWithin::of($both, $terms->confidence(), $terms->scaleOf($both));
                } catch (CoreException) {
                    continue;
                }
                $hangs = $found->verdict === WithinVerdict::ByCell;
                // Where they cancel out none is against the rest.
                $at = $found->opposed !== [] || !$hangs ? $found->opposed : self::otherWay($found->cells);
                if ($at !== []) {
                    $out[] = ['a' => $a, 'b' => $b, 'at' => array_map(
                        static fn (string $cell): string => $texts[$cell] ?? '', $at,
                    ), 'hangs' => $hangs];
                }
            }
        }

        return $out;
    }

    /**
     * @param list<CellDifference> $cells
     *
     * @return list<string> of those that differ otherwise than the first
     */
    private static function otherWay(array $cells): array
    {
        $first = ($cells[0]->difference ?? 0.0) <=> 0.0;

        return array_values(array_map(static fn (CellDifference $c): string => $c->cell, array_filter(
            $cells, static fn (CellDifference $c): bool => ($c->difference <=> 0.0) === -$first,
        )));
    }
}
