<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Workshop;

use Lustrum\Domain\Revision\SpendingView;
use Lustrum\Sheet\Choice\Pick;

/** What stands behind a build: its files, its modules, how its articles were made, and what was spent. */
final readonly class WorkshopSheet
{
    /**
     * @param list<DocumentRow>  $documents   of this build, then those that it took over
     * @param list<Pick>         $parts       that a file may be of
     * @param list<Pick>         $articles
     * @param list<ModuleRow>    $modules
     * @param list<MadeRow>      $made        articles of the build
     * @param list<string>       $steps       of making, as they were called before on this device
     * @param string             $making      how making compares with the parent's; empty: nothing to compare
     * @param list<SpendingView> $spendings
     * @param list<TakenOverRow> $takenOver   parts that came with the design that the device began with
     */
    public function __construct(
        public string $revision,
        public array $documents,
        public array $parts,
        public array $articles,
        public array $modules,
        public array $made,
        public array $steps,
        public string $making,
        public array $spendings,
        public string $spent,
        public array $takenOver,
    ) {
    }
}
