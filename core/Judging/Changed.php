<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Run\Design;

/** Runs that are in no comparison, since something was changed on their article between two of them. */
final readonly class Changed
{
    /** @param list<string> $what was changed, as it is said */
    private function __construct(
        public int $runs,
        public array $what,
    ) {
    }

    /**
     * @template K of array-key
     * @template T
     *
     * @param array<K, T>                       $all
     * @param array<K, mixed>                   $kept
     * @param callable(T): array{Design, int} $of what some were made on, and how many they are
     */
    public static function between(array $all, array $kept, callable $of): self
    {
        $had = $has = [];
        $runs = 0;
        foreach ($all as $i => $one) {
            [$design, $n] = $of($one);
            if (array_key_exists($i, $kept)) {
                $had += array_flip($design->own);
            } else {
                $has += array_flip($design->own);
                $runs += $n;
            }
        }
        $new = array_diff_key($has, $had);

        return new self($runs, array_map(strval(...), array_keys($runs > 0 && $new === [] ? $had : $new)));
    }
}
