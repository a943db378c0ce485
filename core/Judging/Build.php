<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Run\Parameter;
use Lustrum\Core\Run\Part;

/** One state of the design, as it is written down now. */
final readonly class Build
{
    /**
     * @param string           $madeAt     RFC 3339, so that builds can be put in the order of time
     * @param list<Parameter>  $parameters
     * @param list<Part>       $parts
     * @param list<ChangeFact> $changes    from the parent
     * @param array<array-key, list<Parameter>> $arms parameters that each arm has otherwise, by its name
     * @param string           $chosenArm  empty: none yet
     * @param float|null       $cost       of its parts that stay; null: it has none
     * @param bool             $family     its arms stay beside each other: sizes, sides, fittings
     * @param string           $worstArm   the one that is said to be the worst of them; empty: nobody said
     * @param list<string>     $out        names of arms that were taken out before they were tried
     * @param array<string, string> $modules build of another device that a part is, by the name of the part
     * @param float|null       $mass       of them, in kilograms; null where one was not weighed
     * @param Unrelated        $unrelated  differences of its articles, and from its parent, that bear on nothing of a metric
     */
    public function __construct(
        public string $id,
        public string $letter,
        public ?string $parent,
        public string $branch,
        public string $firmware,
        public string $madeAt,
        public array $parameters = [],
        public array $parts = [],
        public array $changes = [],
        public array $arms = [],
        public string $chosenArm = '',
        public ?float $cost = null,
        public ?float $mass = null,
        public bool $family = false,
        public string $worstArm = '',
        public array $modules = [],
        public array $out = [],
        public Unrelated $unrelated = new Unrelated(),
    ) {
    }

    /** How many variants were there to be tried: those that were not taken out before. */
    public function variants(): int
    {
        return count(array_diff_key($this->arms, array_flip($this->out)));
    }

    /** Is this difference what its variants differ in? Then it was said by making them. */
    public function variesIn(Difference $difference): bool
    {
        return $difference->kind === 'parameter' && array_filter($this->arms, static fn (array $own): bool => in_array(
            $difference->name, array_map(static fn (Parameter $p): string => $p->name, $own), true,
        )) !== [];
    }

    /** The same with the parameters of one of its arms. */
    public function as(string $arm): self
    {
        $own = $this->arms[$arm] ?? null;
        if ($own === null) {
            return $this;
        }
        $parameters = array_column($own, null, 'name') + array_column($this->parameters, null, 'name');

        return new self(
            $this->id, $this->letter, $this->parent, $this->branch, $this->firmware, $this->madeAt, array_values($parameters), $this->parts,
            $this->changes, cost: $this->cost, mass: $this->mass, unrelated: $this->unrelated,
        );
    }
}
