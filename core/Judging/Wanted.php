<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Evidence\Kind;
use Lustrum\Core\Evidence\Requirement;

/** A requirement as the sums need it: the rule that is assessed, and what it speaks of. */
final readonly class Wanted
{
    /**
     * @param string       $metric    identifier
     * @param string       $unit      of the limit as it was typed; empty for shares and checks
     * @param Requirement  $rule      with the limit in $unit; a rate's limit in shares
     * @param float        $limit     as it was typed, in $unit
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
    ) {
    }

    public function kind(): Kind
    {
        return $this->rule->kind;
    }
}
