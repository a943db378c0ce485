<?php

declare(strict_types=1);

namespace Lustrum\Domain\Method;

use Lustrum\Core\Run\Factor;
use Lustrum\Core\Run\FactorKind;
use Lustrum\Core\Run\FactorRole;
use Lustrum\Core\Run\Harder;
use Lustrum\Shared\Choices;
use Lustrum\Shared\Name;
use Lustrum\Shared\Number;
use Lustrum\Shared\UnitSymbol;
use Symfony\Component\Validator\Constraints as Assert;

/** A factor or a block as it is typed. */
final readonly class FactorInput
{
    /**
     * @param string       $unit   of a factor in numbers; empty for a plain number
     * @param float|null   $step   levels within half of it are one, in $unit
     * @param list<string> $levels to choose from; ordered words lowest first
     * @param bool         $climbs a harder level waits until the one below has held on the same configuration
     */
    public function __construct(
        #[Name]
        public string $name,
        public FactorRole $role = FactorRole::Factor,
        public FactorKind $kind = FactorKind::Words,
        #[UnitSymbol]
        public string $unit = '',
        #[Assert\Positive(message: 'A step lies above nought.')]
        #[Number]
        public ?float $step = null,
        #[Choices]
        public array $levels = [],
        public Harder $harder = Harder::None,
        public bool $climbs = false,
    ) {
    }

    public function factor(): Factor
    {
        return new Factor(
            trim($this->name), $this->role, $this->kind, trim($this->unit), $this->step,
            array_values(array_filter(array_map(trim(...), $this->levels), static fn (string $l): bool => $l !== '')),
            $this->harder, $this->climbs,
        );
    }
}
