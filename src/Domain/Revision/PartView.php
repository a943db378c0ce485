<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

final readonly class PartView
{
    public function __construct(
        public string $id,
        public int $version,
        public string $revision,
        public string $name,
        public string $material,
        public float $quantity,
        public float $cost,
        public string $note,
        public ?float $mass,
        public PartSort $sort,
        public PartStanding $standing,
        public string $reliedOn,
        public string $checkedBy,
        public ?string $module,
        public string $moduleDevice,
        public string $moduleName,
    ) {
    }

    /** The same on another build, of what it is made there; whoever checked a fit checks it again. */
    public function on(string $revision, ?string $material = null): PartInput
    {
        return new PartInput(
            $revision, $this->name, $material ?? $this->material, $this->quantity, $this->cost, $this->note, $this->mass, $this->sort,
            $this->standing, $this->reliedOn, '', $this->module,
        );
    }
}
