<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Panel;

use Lustrum\Domain\Revision\RevisionView;
use Lustrum\Domain\Trial\PanelView;

/** A panel for whoever prepares and serves it; what stands behind a code, and means, only once it is unblinded. */
final readonly class PanelPage
{
    /**
     * @param bool                   $serves      is it you who serves it?
     * @param bool                   $isOpen      can you see which code is which?
     * @param list<PanelServed>      $served
     * @param list<string>           $said        what bears on how blind it was, in sentences
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
        public bool $serves,
        public bool $isOpen,
        public array $served,
        public array $said,
        public array $missing,
        public array $results,
        public array $preferences,
        public string $blind,
    ) {
    }
}
