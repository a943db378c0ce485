<?php

declare(strict_types=1);

namespace Lustrum\Domain\Device;

final readonly class MetricView
{
    /**
     * @param string       $dimension its SI unit; empty while it was never measured in a unit
     * @param list<string> $words
     */
    public function __construct(
        public string $id,
        public int $version,
        public string $device,
        public string $name,
        public string $dimension,
        public Scale $scale,
        public ?float $naturalLow,
        public ?float $naturalHigh,
        public string $effects,
        public bool $computed,
        public array $words,
    ) {
    }
}
