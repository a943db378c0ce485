<?php

declare(strict_types=1);

namespace Lustrum\Action\Read;

use Lustrum\Action\Run\EmptyRuns;
use Lustrum\Domain\Trial\AmendReadingInput;
use Lustrum\Domain\Trial\Reading;
use Lustrum\Record\RecordWriter;
use Lustrum\Record\Written;
use Symfony\Component\Uid\Uuid;

/** Amends a reading under the same check as a first one; the first value stays beside it. */
final readonly class AmendReading
{
    public function __construct(
        private RecordWriter $writer,
        private ReadingCheck $check,
        private EmptyRuns $empties,
    ) {
    }

    public function amend(Uuid $id, AmendReadingInput $input): Written
    {
        return $this->writer->amend(Reading::class, $id, $input->version, function (Reading $reading, string $by) use ($input): void {
            $channel = $reading->asked();
            $said = Reading::read($input->text, $input->unit, $channel, $reading->words());
            if ($input->confirmed === '') {
                $this->check->mustBePlausible($reading->run(), $channel, $said);
            }
            $reading->amend($said, $input->reason, $by);
            $this->empties->changed($reading->run());
        });
    }
}
