<?php

declare(strict_types=1);

namespace Lustrum\Core\Footing;

/** Where a condition that nobody wrote down would turn the answer: is b higher or lower than a on either side of it? */
final readonly class Turn
{
    /**
     * @param 'a'|'b'            $side  whose condition is unknown
     * @param 'higher'|'lower'   $below b against a, at equal conditions, where the unknown lies below `at`
     * @param 'higher'|'lower'   $above
     * @param float|null         $low   `at` for the ends of the interval of the difference; null for a single run
     */
    public function __construct(
        public string $side,
        public float $at,
        public string $below,
        public string $above,
        public ?float $low = null,
        public ?float $high = null,
    ) {
    }

    /** @param bool $rises does b rise against a with the unknown condition? */
    public static function at(string $side, float $at, bool $rises, ?float $low = null, ?float $high = null): self
    {
        return new self($side === 'a' ? 'a' : 'b', $at, $rises ? 'lower' : 'higher', $rises ? 'higher' : 'lower', $low, $high);
    }
}
