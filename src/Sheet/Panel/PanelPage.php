<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Panel;

use Lustrum\Domain\Revision\RevisionView;
use Lustrum\Domain\Trial\PanelView;

/** A panel for whoever prepares and serves it; means only once it is unblinded. */
final readonly class PanelPage
{
    /**
     * @param list<PanelServed>      $served
     * @param list<string>           $missing     sheets that did not come, in sentences
     * @param list<PanelScaleResult> $results     empty while it is blind
     * @param list<string>           $preferences in sentences
     * @param string                 $blind       whether the blind held; empty: nobody guessed, or it is still blind
     */
    public function __construct(
        public string $sentence,
        public PanelView $panel,
        public string $trialName,
        public RevisionView $revision,
        public array $served,
        public array $missing,
        public array $results,
        public array $preferences,
        public string $blind,
    ) {
    }
}
