<?php

declare(strict_types=1);

namespace Lustrum\Action\Run;

use Lustrum\Account\User;
use Lustrum\Domain\Trial\Panel;
use Lustrum\Record\History;
use Lustrum\Record\RecordWriter;
use Lustrum\Record\Written;

/** A lead looks which code is which before a panel is unblinded: for them alone, and written down where leads look. */
final readonly class OpeningPanels
{
    public function __construct(
        private RecordWriter $writer,
        private History $history,
    ) {
    }

    public function open(Panel $panel, User $lead, string $because): Written
    {
        return $this->writer->amend(Panel::class, $panel->id(), $panel->version(), function (Panel $of) use ($lead, $because): void {
            $of->open($lead, trim($because));
            $this->history->happened('panel-opened', $of->id(), $of->workspace(), $lead->name(), [
                'trial' => $of->trial()->name(), 'because' => trim($because),
            ]);
        });
    }
}
