<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\DeviationKind;
use Lustrum\Core\Run\Parameter;
use Lustrum\Core\Run\Part;

/**
 * The changes that are meant to end a mode of failure, and what carries one of them.
 *
 * What was made with a configuration carries a fix when the change is on the line of descent of its build and what it altered
 * still has the changed value. With several changes one is enough, and all that it carries are named.
 */
final class Fixes
{
    /** @var array<string, list<string>> by build and what a run was made with: thousands of runs were made with a few */
    private array $known = [];

    /** @var array<string, self> by what they lack */
    private array $fewer = [];

    /** Equal for the same changes. */
    public readonly string $key;

    /** @param list<array{ChangeFact, Build}> $changes with the build that each was made on */
    private function __construct(
        private readonly Lineage $lineage,
        private readonly array $changes,
    ) {
        $this->key = implode(' ', array_map(static fn (array $c): string => $c[0]->id, $changes));
    }

    /** @param array<string, true> $failures identifiers of the failures of the mode */
    public static function of(Lineage $lineage, array $failures): self
    {
        $changes = [];
        foreach ($lineage->builds as $build) {
            foreach ($build->changes as $change) {
                if (array_intersect_key($failures, array_flip($change->against)) !== []) {
                    $changes[] = [$change, $build];
                }
            }
        }

        return new self($lineage, $changes);
    }

    /** Those that something did not have. */
    public function but(Build $build, ?Configuration $made): self
    {
        $lacking = array_values(array_filter(
            $this->changes, fn (array $c): bool => !$this->isOnLine($build, $c[1]) || !self::hasValues($c[0], $c[1], $made),
        ));

        $fewer = new self($this->lineage, $lacking);

        return $fewer->key === $this->key ? $this : $this->fewer[$fewer->key] ??= $fewer;
    }

    /** @return list<string> the fixes that a run carries, by their names */
    public function carried(Build $build, ?Configuration $made): array
    {
        if ($this->changes === []) {
            return [];
        }
        $key = $build->id.($made === null ? '' : ' '.spl_object_id($made));

        return $this->known[$key] ??= $this->found($build, $made);
    }

    /** @return list<string> */
    private function found(Build $build, ?Configuration $made): array
    {
        return self::named(array_filter(
            $this->changes, fn (array $c): bool => $this->isOnLine($build, $c[1]) && self::hasValues($c[0], $c[1], $made),
        ));
    }

    /**
     * @param array<array{ChangeFact, Build}> $changes
     *
     * @return list<string>
     */
    private static function named(array $changes): array
    {
        return array_values(array_unique(array_map(static fn (array $c): string => $c[0]->what, $changes)));
    }

    /**
     * The same, or a fix whose changed part or value is there without a change that says so: a return counts against it.
     *
     * @return list<string>
     */
    public function stoodAgainst(Build $build, ?Configuration $made): array
    {
        $carried = $this->carried($build, $made);
        if ($carried !== []) {
            return $carried;
        }
        // Of what happened outside a run nothing is known but the build.
        $key = $build->id.($made === null ? '' : ' '.spl_object_id($made)).' against';

        return $this->known[$key] ??= $this->against($made ?? $build);
    }

    /** @return list<string> */
    private function against(Configuration|Build $made): array
    {
        return self::named(array_filter(
            $this->changes, static fn (array $c): bool => $c[0]->alters !== [] && self::hasValues($c[0], $c[1], $made),
        ));
    }

    private function isOnLine(Build $build, Build $at): bool
    {
        return $build->id === $at->id
            || array_filter($this->lineage->ancestors($build), static fn (Build $b): bool => $b->id === $at->id) !== [];
    }

    private static function hasValues(ChangeFact $change, Build $at, Configuration|Build|null $made): bool
    {
        if ($made === null) {
            return true;
        }
        foreach ($change->alters as $name) {
            if (!self::hasValue($name, $at, $made)) {
                return false;
            }
        }

        return true;
    }

    /** An article that is otherwise in a part has the new one only where its deviation says just that: the parent's is no fix. */
    private static function hasPart(Part $new, Configuration|Build $made): bool
    {
        $deviation = $made instanceof Configuration ? $made->deviation(DeviationKind::Part, $new->name) : null;

        return $deviation === null || $deviation->isOf($new->material);
    }

    private static function hasValue(string $name, Build $at, Configuration|Build $made): bool
    {
        [$kind, $what] = array_pad(explode(':', $name, 2), 2, '');
        if ($kind === 'firmware') {
            return $made->firmware === $at->firmware;
        }
        if ($kind === 'parameter') {
            // In words alone nobody said which value it has.
            if ($made instanceof Configuration && trim($made->deviation(DeviationKind::Parameter, $what)->value ?? 'said') === '') {
                return false;
            }
            $find = static fn (array $of): ?Parameter => array_column($of, null, 'name')[$what] ?? null;
            [$was, $is] = [$find($at->parameters), $find($made->parameters)];

            return $was === null || $is === null ? $was === $is : $was->equals($is);
        }
        $find = static fn (array $of): ?Part => array_column($of, null, 'name')[$what] ?? null;
        [$was, $is] = [$find($at->parts), $find($made->parts)];

        return $was === null || $is === null
            ? $was === $is : $was->material === $is->material && $was->quantity === $is->quantity && self::hasPart($was, $made);
    }
}
