<?php

declare(strict_types=1);

namespace Lustrum\Core\Formula;

/** What a formula comes to. */
final readonly class Result
{
    public function __construct(
        public float $value,
        public string $unit,
        public float $u,
    ) {
    }
}
