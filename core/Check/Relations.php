<?php

declare(strict_types=1);

namespace Lustrum\Core\Check;

use Lustrum\Core\InvalidInput;

/**
 * Numbers of one run check each other (`check.relations`): which relations apply, what each implies, where two contradict.
 */
final readonly class Relations
{
    private const OFF = 2.0;
    private const EQUAL = 1e-9;

    /**
     * @param list<RelationSeen> $relations
     * @param StandardPart|null  $standard  the resistor to be bought that comes nearest
     */
    private function __construct(
        public array $relations,
        public ?StandardPart $standard,
    ) {
    }

    /**
     * @param list<Known> $readings
     *
     * @throws InvalidInput when a quantity is there twice
     */
    public static function of(array $readings): self
    {
        $known = [];
        foreach ($readings as $i => $reading) {
            if (isset($known[$reading->what])) {
                throw InvalidInput::because('A quantity is named once.', 'readings/'.$i.'/what');
            }
            $known[$reading->what] = $reading;
        }
        $seen = [];
        foreach (Relation::all() as $relation) {
            $missing = count(array_diff_key($relation->exponents, $known));
            if ($missing <= 1) {
                $seen[] = self::see($relation, $known, $missing === 0);
            }
        }

        return new self($seen, self::resistor($known['resistance'] ?? null, $seen));
    }

    /** @return list<string> names of the relations that are contradicted */
    public function contradictions(): array
    {
        $found = array_filter($this->relations, static fn (RelationSeen $r): bool => $r->contradicts === true);

        return array_values(array_map(static fn (RelationSeen $r): string => $r->relation, $found));
    }

    /** @param array<string, Known> $known */
    private static function see(Relation $relation, array $known, bool $isWhole): RelationSeen
    {
        $values = array_map(static fn (Known $k): float => $k->si, array_intersect_key($known, $relation->exponents));
        $implied = [];
        foreach (array_keys($relation->exponents) as $what) {
            $others = array_diff_key($relation->exponents, [$what => 0]);
            if (array_diff_key($others, $known) === []) {
                $implied[] = Known::inUnit($what, $relation->implied($what, $values), $known[$what] ?? null)->by(array_keys($others));
            }
        }
        if (!$isWhole) {
            return new RelationSeen($relation->name, $implied, null, false);
        }
        $u = $relation->uncertainty($values, array_map(static fn (Known $k): float => $k->u, $known));
        $off = $relation->off($values);
        if ($u > 0.0) {
            return new RelationSeen($relation->name, $implied, $off / $u, abs($off / $u) > self::OFF);
        }
        $scale = $relation->isSum ? max(array_map(abs(...), $values) ?: [1.0]) : 1.0;

        return new RelationSeen($relation->name, $implied, null, abs($off) <= self::EQUAL * $scale ? false : null);
    }

    /** @param list<RelationSeen> $seen */
    private static function resistor(?Known $read, array $seen): ?StandardPart
    {
        if ($read !== null) {
            $own = Known::inUnit('resistance', $read->si, $read);

            return StandardPart::resistor($own->value, $own->unit);
        }
        foreach ($seen as $relation) {
            foreach ($relation->implied as $implied) {
                if ($implied->what === 'resistance') {
                    return StandardPart::resistor($implied->value, $implied->unit);
                }
            }
        }

        return null;
    }
}
