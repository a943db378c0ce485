<?php

declare(strict_types=1);

namespace Lustrum\Core\Plan;

/** A trial whose next run can be made now. */
final readonly class Ready
{
    /**
     * @param string $next   the level that it is made at; empty: none is planned
     * @param int    $left   runs until its planned number; nought where nobody planned one
     * @param bool   $isMust a must requirement rests on it
     * @param list<string> $modes of failures that happened with its method and are not closed
     */
    public function __construct(
        public string $trial,
        public string $name,
        public string $next,
        public int $left,
        public bool $isMust,
        public array $modes = [],
    ) {
    }

    /**
     * What a must or an open failure waits for first, and of these what needs the fewest further runs.
     *
     * @param list<self> $ready
     *
     * @return list<self>
     */
    public static function inOrder(array $ready): array
    {
        $key = static fn (self $r): array => [!$r->isMust && $r->modes === [], $r->left === 0, $r->left, $r->name];
        usort($ready, static fn (self $a, self $b): int => $key($a) <=> $key($b));

        return $ready;
    }
}
