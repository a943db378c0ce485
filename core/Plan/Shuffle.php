<?php

declare(strict_types=1);

namespace Lustrum\Core\Plan;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** Chance that comes out the same on every machine: xoshiro256** (Blackman and Vigna 2018) from a seed. */
final readonly class Shuffle
{
    public const GENERATOR = 'xoshiro256**';

    private Randomizer $randomizer;

    public function __construct(int $seed)
    {
        $this->randomizer = new Randomizer(new Xoshiro256StarStar($seed));
    }

    /**
     * @template T
     *
     * @param list<T> $items
     *
     * @return list<T>
     */
    public function of(array $items): array
    {
        return array_values($this->randomizer->shuffleArray($items));
    }
}
