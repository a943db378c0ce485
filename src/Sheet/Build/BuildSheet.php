<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Build;

use Lustrum\Domain\Revision\RevisionView;
use Lustrum\Sheet\Choice\Pick;

/** The Build station of one build. */
final readonly class BuildSheet
{
    /**
     * @param list<ChangeRow>    $changes
     * @param list<ParameterRow> $parameters
     * @param list<PartRow>      $parts
     * @param list<ArticleRow>   $articles
     * @param string             $costAgainst difference and the parent's cost in words; empty where there is no parent
     * @param list<string>       $metrics    known on this device, for choosing from
     * @param list<ArmRow> $arms
     * @param list<string> $notes     where build and change records do not agree
     * @param list<Pick> $failures  of this build and those before it, for picking from
     * @param list<Pick> $alterable what of the build a change can alter
     * @param list<string> $methods  names, for saying what use outside trials was like
     * @param string       $neverTried steps of use that no run went through, in a sentence
     * @param string       $rests   on what is there for now only, in a sentence
     * @param string       $masses  what its parts weigh
     * @param list<Pick>   $modules builds of other devices that a part may be
     * @param list<string> $modes    known on this device
     */
    public function __construct(
        public string $sentence,
        public RevisionView $revision,
        public ?RevisionView $parent,
        public array $changes,
        public array $parameters,
        public array $parts,
        public string $cost,
        public ?string $parentCost,
        public ?string $costDifference,
        public string $costAgainst,
        public string $currency,
        public array $articles,
        public array $metrics,
        public array $arms,
        public array $notes,
        public array $failures,
        public array $alterable,
        public array $methods,
        public array $modes,
        public string $neverTried,
        public string $rests,
        public string $masses,
        public array $modules,
    ) {
    }
}
