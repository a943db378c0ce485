<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Weigh;

use Lustrum\Domain\Device\RequirementView;
use Lustrum\Domain\Revision\RevisionView;
use Lustrum\Sheet\Brief\UseRow;

/** The Weigh station of one build. */
final readonly class WeighSheet
{
    /**
     * @param list<RevisionView>    $revisions    columns of the evidence table, oldest first
     * @param list<RequirementView> $requirements rows
     * @param list<EvidenceCell>    $cells
     * @param list<ComparisonRow>   $comparisons
     * @param list<OutcomeRow>      $outcomes
     * @param list<SidesRow>        $sides        within this build
     * @param string                $rests        on what is there for now only; empty: on nothing
     * @param list<UseRow>          $uses         with the verdict of this build
     * @param list<RehearsedUse>    $rehearsed    uses of which the trials on this build carry a part
     * @param list<PanelSaid>       $panels       blind panels of this build that were unblinded
     * @param bool                  $isNew        has nobody seen it with these runs? Then whoever is shown it says so
     * @param string                $confidence   in words: 'at 95 % confidence'
     */
    public function __construct(
        public string $sentence,
        public RevisionView $revision,
        public ?RevisionView $against,
        public array $revisions,
        public array $requirements,
        public array $cells,
        public array $comparisons,
        public array $outcomes,
        public array $sides,
        public string $confidence,
        public string $rests,
        public array $uses,
        public array $rehearsed,
        public array $panels,
        public bool $isNew,
    ) {
    }
}
