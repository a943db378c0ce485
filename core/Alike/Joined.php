<?php

declare(strict_types=1);

namespace Lustrum\Core\Alike;

/** Which sides a chain of strata joins. */
final readonly class Joined
{
    /**
     * @param list<string>       $names by first appearance
     * @param array<string, int> $of    component of each
     */
    private function __construct(
        public array $names,
        private array $of,
    ) {
    }

    /**
     * @param list<string>       $sides  of all runs
     * @param list<list<string>> $strata the sides of each
     */
    public static function of(array $sides, array $strata): self
    {
        $names = array_values(array_unique($sides));
        $of = array_flip($names);
        foreach ($strata as $some) {
            foreach (array_slice($some, 1) as $other) {
                [$from, $to] = [$of[$other], $of[$some[0]]];
                $of = array_map(static fn (int $c): int => $c === $from ? $to : $c, $of);
            }
        }

        return new self($names, $of);
    }

    public function meet(string $a, string $b): bool
    {
        return $this->of[$a] === $this->of[$b];
    }

    /**
     * The components, in the order of the sides given.
     *
     * @param list<string> $sides
     *
     * @return list<list<string>>
     */
    public function in(array $sides): array
    {
        $out = [];
        foreach ($sides as $side) {
            $out[$this->of[$side]][] = $side;
        }

        return array_values($out);
    }
}
