<?php

declare(strict_types=1);

namespace Lustrum\Action\Build;

use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Account\Workspace;
use Lustrum\Domain\Device\Device;
use Lustrum\Domain\Device\DeviceInput;
use Lustrum\Domain\Device\DeviceView;
use Lustrum\Domain\Device\Origin;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Domain\Revision\RevisionInput;
use Lustrum\Domain\Revision\StartFromInput;
use Lustrum\Record\AfterWrite;
use Lustrum\Record\Records;
use Lustrum\Record\RecordWriter;
use Lustrum\Shared\Refusal\Invalid;
use Symfony\Component\Uid\Uuid;

/** A device that begins with somebody else's design, or as a build of another device is: what it takes over stays said. */
final readonly class StartingFrom
{
    public function __construct(
        private EntityManagerInterface $em,
        private Records $records,
        private RecordWriter $writer,
        private CarryingOver $carrying,
        private AfterWrite $after,
    ) {
    }

    /** Sent twice, it is one device. */
    public function begin(Workspace $workspace, StartFromInput $input): DeviceView
    {
        return $this->em->wrapInTransaction(function () use ($workspace, $input): DeviceView {
            $id = Uuid::fromString($input->id);
            $this->writer->oneAtATime($id);
            $known = $this->em->find(Device::class, $id);
            if ($known !== null) {
                return $known->workspace()->id()->equals($workspace->id()) ? $known->view() : throw Invalid::at(
                    'id', 'That identifier is taken.',
                );
            }
            $from = $this->records->namedOrNull(Revision::class, $input->build, 'build');
            if ($from !== null && !$from->workspace()->id()->equals($workspace->id())) {
                throw Invalid::at('build', 'That build is of another workspace.');
            }
            $called = $from === null ? trim($input->design) : $from->device()->name().' '.$from->letter();
            if ($called === '') {
                throw Invalid::at('design', 'Which design, or which build, does it begin with?');
            }
            $device = $this->writer->make(Device::class, $id, new DeviceInput(
                $workspace->id()->toRfc4122(), $input->name, currency: $from === null ? '' : $from->device()->view()->currency,
                beganWith: new Origin($called, trim($input->author), trim($input->terms), trim($input->alterations), $input->build),
            ));
            $this->em->flush();
            $build = $this->writer->make(Revision::class, Uuid::v7(), new RevisionInput(
                $device->id()->toRfc4122(), 'A', firmware: $from?->firmware() ?? '',
            ));
            $build = $build instanceof Revision ? $build : throw new \LogicException('A build was made.');
            if ($from !== null) {
                $this->carrying->copy($from, $build);
            }
            $this->em->flush();
            $this->after->written([$device, $build]);

            return $device instanceof Device ? $device->view() : throw new \LogicException('A device was made.');
        });
    }
}
