<?php

declare(strict_types=1);

namespace Lustrum\Action\Find;

use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Core\Judging\FailureFact;
use Lustrum\Core\Wording\FailureWords;
use Lustrum\Domain\Device\Device;
use Lustrum\Domain\Finding\CallingInput;
use Lustrum\Domain\Finding\Failure;
use Lustrum\Record\Records;
use Lustrum\Record\RecordWriter;
use Lustrum\Shared\Instant;
use Lustrum\Shared\Refusal\Invalid;

/** Merges modes of failures, and splits one: the failures stay, with what they were called in their history. */
final readonly class Calling
{
    public function __construct(
        private EntityManagerInterface $em,
        private Records $records,
        private RecordWriter $writer,
    ) {
    }

    /** @throws Invalid where there is no such mode */
    public function call(Device $device, CallingInput $input): Called
    {
        $is = FailureFact::keyOf($input->mode);
        $all = array_values(array_filter(
            $this->records->all(Failure::class, ['belongsTo' => $device->id()]),
            static fn (Failure $f): bool => FailureFact::keyOf($f->mode()) === $is,
        ));
        $chosen = $input->only === [] ? $all : array_values(array_filter(
            $all, static fn (Failure $f): bool => in_array($f->id()->toRfc4122(), $input->only, true),
        ));
        if ($chosen === []) {
            throw Invalid::at('mode', 'No failure of this device is called that.');
        }
        if (!$input->isTry) {
            $this->em->wrapInTransaction(function () use ($chosen, $input): void {
                foreach ($chosen as $failure) {
                    $this->writer->amend(
                        Failure::class, $failure->id(), $failure->version(), static fn (Failure $f) => $f->call($input->to, $input->place),
                    );
                }
            });
        }

        return new Called(
            FailureWords::called(count($chosen), count($all), $input->mode, $input->to, $input->isTry),
            array_map(static fn (Failure $f): CalledRow => new CalledRow(
                $f->id()->toRfc4122(), $f->revision()->letter(), $f->mode(), $f->place(),
                substr(Instant::write($f->createdAt()), 0, 10), $f->note(),
            ), $chosen),
        );
    }
}
