<?php

declare(strict_types=1);

namespace Lustrum\Http\OpenApi;

final readonly class Violation
{
    public function __construct(
        public string $path,
        public string $message,
    ) {
    }
}
