<?php

declare(strict_types=1);

namespace Lustrum\Action\Read;

use Lustrum\Domain\Trial\Reading;
use Lustrum\Domain\Trial\ReadingInput;
use Lustrum\Domain\Trial\Run;
use Lustrum\Record\Beginning;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Symfony\Component\Uid\Uuid;

/** Begins a reading: it is parsed once, looked at, and asked back where it is odd and nobody has confirmed it. */
final readonly class ReadingBeginning implements Beginning
{
    public function __construct(
        private Records $records,
        private ReadingCheck $check,
    ) {
    }

    public static function of(): string
    {
        return Reading::class;
    }

    public function begin(Uuid $id, RecordInput $input): Record
    {
        if (!$input instanceof ReadingInput) {
            throw new \LogicException('A reading begins from a reading.');
        }
        $run = $this->records->named(Run::class, $input->run, 'run');
        $channel = Reading::channelOf($run, $input->channel);
        $said = Reading::typed($input, $channel, $this->records);
        if ($input->confirmed === '') {
            $this->check->mustBePlausible($run, $channel, $said);
        }

        return Reading::onRun($id, $run, $channel, $said, $this->records);
    }
}
