<?php

declare(strict_types=1);

namespace Lustrum\Core\Heap;

use Lustrum\Core\InvalidInput;

/** How far the clock of a camera is ahead, in seconds; set right once, for all that it took. */
final readonly class Clock
{
    /** A clock that was never set shows the beginning of its own time: thirty years. */
    private const MOST = 30 * 365.25 * 86400;

    private function __construct(
        public float $ahead,
    ) {
    }

    /**
     * @param float $says  moment that it wrote down, s
     * @param float $truly the moment that it was, s
     *
     * @throws InvalidInput
     */
    public static function set(float $says, float $truly): self
    {
        $ahead = $says - $truly;
        if (abs($ahead) > self::MOST) {
            throw InvalidInput::because('These two moments lie more than thirty years apart: no clock is set by them.');
        }

        return new self($ahead);
    }

    public static function ahead(float $seconds): self
    {
        return new self($seconds);
    }

    public function truly(float $says): float
    {
        return $says - $this->ahead;
    }
}
