<?php

declare(strict_types=1);

namespace Lustrum\Weighing;

/** A further look at the same runs, by a method that suits what they are. */
final readonly class Further
{
    /**
     * @param string       $explain key of the explanation of the method
     * @param list<string> $runs
     */
    public function __construct(
        public string $sentence,
        public string $explain,
        public array $runs,
    ) {
    }
}
