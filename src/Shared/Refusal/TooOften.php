<?php

declare(strict_types=1);

namespace Lustrum\Shared\Refusal;

/** More often than is taken; says how long to wait. */
final class TooOften extends Refusal
{
    protected function __construct(
        string $sentence,
        public readonly int $seconds,
    ) {
        parent::__construct($sentence);
    }

    public static function signingIn(int $seconds): self
    {
        return new self(
            $seconds < 90 ? sprintf(
                'Too many tries. Wait %d seconds and try again.', $seconds,
            ) : 'Too many tries. Wait a quarter of an hour and try again.',
            $seconds,
        );
    }
}
