<?php

declare(strict_types=1);

namespace Lustrum\Facts;

use Lustrum\Domain\Device\Device;
use Symfony\Component\Uid\Uuid;

/** Opens the book of a device. */
final readonly class Books
{
    public function __construct(
        private DeviceFacts $facts,
        private RunFacts $runFacts,
        private KeptRuns $keptRuns,
        private FailureBook $failures,
        private Summaries $summaries,
    ) {
    }

    public function open(Device|Uuid $device): Book
    {
        $id = ($device instanceof Device ? $device->id() : $device)->toRfc4122();
        [$facts, $counter] = $this->facts->device($id);

        return new Book(
            $facts, $this->facts, $this->runFacts, $this->keptRuns, $this->failures, $this->summaries, $counter,
            fn (string $other): Book => $this->open(Uuid::fromString($other)),
        );
    }
}
