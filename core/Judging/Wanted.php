<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\CoreException;
use Lustrum\Core\Evidence\Kind;
use Lustrum\Core\Evidence\Requirement;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Run\ArticleState;

/** A requirement as the sums need it: the rule that is assessed, and what it speaks of. */
final readonly class Wanted
{
    /**
     * @param string       $metric    identifier
     * @param string       $unit      of the limit as it was typed; empty for shares and checks
     * @param Requirement  $rule      with the limit in $unit; a rate's limit in shares
     * @param float        $limit     as it was typed, in $unit
     * @param list<string> $enough    states of article that are enough; empty: every one but a mock-up or a model
     * @param list<string> $methods   names of methods that count; empty: all
     * @param 'runs'|'parameter'|'cost'|'mass' $source where its value comes from
     * @param string       $metricName as the build would call a parameter
     * @param Members      $members   of a family that it must hold on
     * @param string       $byModule  identifier of a module's requirement that shows it; empty: its own runs do
     * @param list<string> $words     of the scale of its metric, the lowest first: its limit is the place of one; none: numbers
     * @param list<string> $dependsOn change classes; empty: everything but the cosmetic
     */
    public function __construct(
        public string $id,
        public string $statement,
        public string $metric,
        public string $unit,
        public float $limit,
        public Requirement $rule,
        public array $dependsOn,
        public bool $must,
        public array $enough = [],
        public array $methods = [],
        public string $source = 'runs',
        public string $metricName = '',
        public Members $members = Members::Each,
        public string $byModule = '',
        public array $words = [],
    ) {
    }

    /**
     * @param list<self> $some
     *
     * @return array<string, list<string>> change classes that each metric depends on, as the first requirement on it says
     */
    public static function dependencies(array $some): array
    {
        $out = [];
        foreach ($some as $wanted) {
            $out[$wanted->metric] ??= $wanted->dependsOn;
        }

        return $out;
    }

    /** The same limit, asked of a module by what its own requirement speaks of. */
    public function asOf(self $module): self
    {
        return new self(
            $this->id, $this->statement, $module->metric, $this->unit, $this->limit, Requirement::of(
                $this->rule->kind, $this->rule->direction, $this->rule->limit, $this->rule->confidence, $module->rule->coverage,
                $module->rule->conditions, $module->rule->nonParametric,
            ), $module->dependsOn, $this->must, $module->enough, $module->methods, $module->source, $module->metricName, $module->members,
            $module->byModule, $module->words,
        );
    }

    /** Is it the same limit in the same unit? */
    public function asksAs(self $other): bool
    {
        return $this->limit === $other->limit && $this->unit === $other->unit && $this->rule->confidence === $other->rule->confidence;
    }

    /** Would a value as it was typed meet the limit? Null where the two cannot be compared. */
    public function metBy(string $typed): ?bool
    {
        try {
            return $this->rule->direction->met(Quantity::typed($typed)->to($this->unit)->value, $this->limit);
        } catch (CoreException) {
            return null;
        }
    }

    /** Does it say that it depends on this part? */
    public function hangsOn(string $part): bool
    {
        return in_array('part:'.mb_strtolower($part), array_map(mb_strtolower(...), $this->dependsOn), true);
    }

    /** Does a run with such an article, by such a method, count for it? */
    public function admits(string $state, string $method): bool
    {
        $isEnough = $this->enough === [] ? !ArticleState::isModel($state) : in_array(ArticleState::of($state), $this->enough, true);

        return $isEnough && ($this->methods === [] || in_array($method, $this->methods, true));
    }

    public function kind(): Kind
    {
        return $this->rule->kind;
    }
}
