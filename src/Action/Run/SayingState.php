<?php

declare(strict_types=1);

namespace Lustrum\Action\Run;

use Lustrum\Core\Run\Configuration;
use Lustrum\Domain\Trial\Run;
use Lustrum\Domain\Trial\StateInput;
use Lustrum\Record\RecordWriter;
use Lustrum\Record\Written;

/** What was tried without an article is said afterwards, once: nobody had said it when the run began. */
final readonly class SayingState
{
    public function __construct(
        private RecordWriter $writer,
        private Configurations $configurations,
    ) {
    }

    /** Said twice the same, it is said once. */
    public function say(Run $run, StateInput $input): Written
    {
        if ($run->article() === null && $run->articleState() === $input->state) {
            return new Written($run->view());
        }
        $made = Configuration::fromRow(['articleState' => $input->state] + $run->configuration()->toRow());
        $stored = $this->configurations->stored($made, $run->belongsTo());

        return $this->writer->amend(
            Run::class, $run->id(), $run->version(), static fn (Run $r) => $r->wasTriedOn($input->state, $stored),
        );
    }
}
