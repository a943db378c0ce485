<?php

declare(strict_types=1);

namespace Lustrum\Domain\Method;

final readonly class InstrumentView
{
    /**
     * @param float|null   $lag      in s
     * @param float|null   $rate     in Hz
     * @param list<string> $formerly what it was called before
     */
    public function __construct(
        public string $id,
        public int $version,
        public string $workspace,
        public string $name,
        public string $unit,
        public ?float $resolution,
        public ?float $low,
        public ?float $high,
        public ?float $lag,
        public ?float $rate,
        public string $checkedOn,
        public ?int $checkMonths,
        public string $checkedBy,
        public string $power,
        public string $leftIn,
        public string $note,
        public array $formerly,
    ) {
    }
}
