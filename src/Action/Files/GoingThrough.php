<?php

declare(strict_types=1);

namespace Lustrum\Action\Files;

use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Account\Workspace;
use Lustrum\Core\CoreException;
use Lustrum\Core\Heap\Clock;
use Lustrum\Domain\Finding\Photo;
use Lustrum\Domain\Finding\PhotoInput;
use Lustrum\Domain\Heap\Camera;
use Lustrum\Domain\Heap\CameraInput;
use Lustrum\Domain\Heap\ClockInput;
use Lustrum\Domain\Heap\HeapFile;
use Lustrum\Domain\Heap\KeepInput;
use Lustrum\Domain\Trial\Run;
use Lustrum\Record\AfterWrite;
use Lustrum\Record\Records;
use Lustrum\Record\RecordWriter;
use Lustrum\Record\Written;
use Lustrum\Shared\Instant;
use Lustrum\Shared\Refusal\Invalid;
use Lustrum\Shared\Refusal\Refusal;
use Symfony\Component\Uid\Uuid;

/** Goes through a heap: what is kept is kept with a run, the rest is put aside, and a clock is set right for all of its camera. */
final readonly class GoingThrough
{
    public function __construct(
        private EntityManagerInterface $em,
        private Records $records,
        private RecordWriter $writer,
        private AfterWrite $after,
    ) {
    }

    /**
     * Keeps a file with a run. The same file may be kept with several runs: each has a record of its own.
     *
     * @throws Refusal
     */
    public function keep(Uuid $id, KeepInput $input): Written
    {
        return $this->em->wrapInTransaction(function () use ($id, $input): Written {
            $file = $this->records->find(HeapFile::class, $id, true);
            $run = $this->records->named(Run::class, $input->run, 'run');
            if (!$run->workspace()->id()->equals($file->workspace()->id())) {
                throw Invalid::at('run', 'That run is of another workspace.');
            }
            if (!$file->isThere()) {
                throw Invalid::at('file', $file->isWaiting()
                    ? 'This file is still being prepared. Try again in a moment.' : 'This file cannot be shown, so it is not kept with a run.');
            }
            $photo = Uuid::fromString($input->photo);
            if ($this->em->find(Photo::class, $photo) !== null) {
                return new Written($this->records->find(Photo::class, $photo)->view());
            }
            $written = $this->writer->put(Photo::class, $photo, new PhotoInput(
                $run->trial()->revision()->id()->toRfc4122(), $file->stored(), $input->caption, $run->id()->toRfc4122(), $input->failure,
                $file->name(), $file->lies(), $file->view()->marks,
            ));
            $file->keptAs($photo);
            $this->em->flush();
            $this->after->written([$file]);

            return new Written($written->view, $written->new, [...$written->stale, 'heap']);
        });
    }

    /**
     * Puts aside what nobody has gone through yet.
     *
     * @param list<string>|null $ids null: all that is left
     *
     * @return int how many
     */
    public function putAside(Workspace $workspace, ?array $ids): int
    {
        $this->records->mustWrite($workspace);

        return $this->em->wrapInTransaction(function () use ($workspace, $ids): int {
            $left = $this->records->all(
                HeapFile::class, ['workspace' => $workspace, 'aside' => false, 'photo' => null] + ($ids === null ? [] : ['id' => $ids]),
            );
            foreach ($left as $file) {
                $file->putAside();
            }
            $this->em->flush();
            if ($left !== []) {
                $this->after->written($left);
            }

            return count($left);
        });
    }

    /**
     * Sets the clock of a camera right by one thing that it took.
     *
     * @throws Refusal
     */
    public function setClock(Uuid $id, ClockInput $input): Written
    {
        $file = $this->records->find(HeapFile::class, $id);
        $this->records->mustWrite($file->workspace());
        if ($file->camera() === '') {
            throw Invalid::at('camera', 'Which camera took it? Say so first; its clock is set for all that it took.');
        }
        $says = $file->says() ?? throw Invalid::at('truly', 'Nothing in this file says when it was taken, so no clock is set by it.');
        $truly = match (true) {
            $input->run !== null => $this->begun($this->records->named(Run::class, $input->run, 'run')),
            $input->truly !== null => Instant::read($input->truly, 'truly'),
            default => throw Invalid::at('truly', 'When was it truly? Say the time, or with which run it begins.'),
        };
        try {
            $clock = Clock::set($says, (float) $truly->format('U.u'));
        } catch (CoreException $e) {
            throw Invalid::at('truly', $e->getMessage());
        }
        $known = $this->records->namesake(Camera::class, ['workspace' => $file->workspace()], $file->camera(), Uuid::v7());

        return $this->writer->put(Camera::class, $known?->id() ?? Uuid::v7(), new CameraInput(
            $file->workspace()->id()->toRfc4122(), $known?->name() ?? $file->camera(), $clock->ahead, $known?->version(),
        ));
    }

    private function begun(Run $run): \DateTimeImmutable
    {
        return $run->clockAt() ?? $run->startedAt();
    }
}
