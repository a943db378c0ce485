<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

/** What varies together with the sides of a comparison, so that nobody can tell which of the two it is. */
final readonly class Confounded
{
    /**
     * @param string       $what as it is said: 'lot of wax', 'firmware', 'bench'
     * @param list<array{string, string}> $runs a side with what stood beside another: these would tell the two apart
     */
    private function __construct(
        public string $what,
        public array $runs,
    ) {
    }

    /**
     * @param array<string, array<string, array<string, true>>> $beside by what, then side: the values that stood beside it
     * @param list<string>                                      $sides
     *
     * @return list<self>
     */
    public static function of(array $beside, array $sides): array
    {
        $out = [];
        foreach ($beside as $what => $of) {
            $values = array_map(static fn (string $side): array => array_map(strval(...), array_keys($of[$side] ?? [])), $sides);
            $single = array_map(static fn (array $v): string => count($v) === 1 ? $v[0] : '', $values);
            // One of its own for each side: then whatever is seen may come of either.
            if (in_array('', $single, true) || count(array_unique($single)) < count($sides)) {
                continue;
            }
            $runs = [];
            for ($i = 0; $i < count($sides) - 1; ++$i) {
                $runs[] = [$sides[$i], $single[$i + 1]];
            }
            $out[] = new self((string) $what, $runs);
        }

        return $out;
    }
}
