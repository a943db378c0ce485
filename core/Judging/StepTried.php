<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

/** A step of use beside what was tried of it: here, on another build, or never. */
final readonly class StepTried
{
    /** @param string|null $letter of the build on which it was tried last: this one, the nearest before it, else any; null: never */
    public function __construct(
        public string $id,
        public string $name,
        public ?string $letter,
        public bool $here,
    ) {
    }

    /**
     * @param array<string, string>       $steps  names by identifier, in the order of use
     * @param array<string, list<string>> $walked identifiers of the builds whose runs went through it, by step
     *
     * @return list<self>
     */
    public static function on(Build $build, Lineage $lineage, array $steps, array $walked): array
    {
        $line = array_map(static fn (Build $b): string => $b->id, [$build, ...$lineage->ancestors($build)]);
        $others = array_reverse(array_map(static fn (Build $b): string => $b->id, array_values($lineage->builds)));
        $nearest = array_values(array_unique([...$line, ...$others]));
        $out = [];
        foreach ($steps as $id => $name) {
            $on = array_values(array_intersect($nearest, $walked[$id] ?? []))[0] ?? null;
            $out[] = new self((string) $id, $name, $on === null ? null : $lineage->build($on)?->letter, $on === $build->id);
        }

        return $out;
    }

    public function isNever(): bool
    {
        return $this->letter === null;
    }
}
