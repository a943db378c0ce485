<?php

declare(strict_types=1);

namespace Lustrum\Domain\Device;

use Lustrum\Record\RecordInput;
use Lustrum\Shared\Choices;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Name;
use Lustrum\Shared\Number;
use Lustrum\Shared\Version;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class MetricInput implements RecordInput
{
    /**
     * @param float|null   $naturalLow  least value that there can be, in the SI unit of the metric
     * @param float|null   $naturalHigh greatest one
     * @param string       $effects     whether effects add up or multiply; empty: the values decide
     * @param bool         $computed    comes from a calculation or simulation: it stands beside results, never among them
     * @param list<string> $words       of an ordered scale, lowest first
     */
    public function __construct(
        #[Identifier]
        public string $device,
        #[Name]
        public string $name,
        public Scale $scale = Scale::Numeric,
        #[Number]
        public ?float $naturalLow = null,
        #[Number]
        public ?float $naturalHigh = null,
        #[Assert\Choice(choices: ['', 'add', 'ratio'], message: 'Effects add up, or multiply.')]
        public string $effects = '',
        public bool $computed = false,
        #[Choices]
        public array $words = [],
        #[Version]
        public ?int $version = null,
    ) {
    }
}
