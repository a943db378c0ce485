<?php

declare(strict_types=1);

namespace Lustrum\Action\Method;

use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Domain\Device\Device;
use Lustrum\Domain\Method\Method;
use Lustrum\Domain\Method\MethodInput;
use Lustrum\Domain\Method\MethodView;
use Lustrum\Record\AfterWrite;
use Lustrum\Record\Inputs;
use Lustrum\Record\Records;
use Lustrum\Record\RecordWriter;
use Lustrum\Shared\Refusal\Invalid;
use Symfony\Component\Uid\Uuid;

/** Copies a method of another device of the workspace: from then on each goes its own way. */
final readonly class UsingHere
{
    /** What the view says beside what a form sends, and what hangs on the other device. */
    private const LEFT = ['id', 'version', 'edition', 'steps', 'use', 'represents', 'reference'];

    public function __construct(
        private EntityManagerInterface $em,
        private Records $records,
        private RecordWriter $writer,
        private Inputs $inputs,
        private AfterWrite $after,
    ) {
    }

    /** Sent twice, it is one method. */
    public function copy(Device $device, Uuid $id, string $method): MethodView
    {
        return $this->em->wrapInTransaction(function () use ($device, $id, $method): MethodView {
            $this->writer->oneAtATime($id);
            $known = $this->em->find(Method::class, $id);
            if ($known !== null) {
                return $known->device() === $device ? $known->view() : throw Invalid::at('id', 'That identifier is taken.');
            }
            $from = $this->records->named(Method::class, $method, 'method');
            if (!$from->workspace()->id()->equals($device->workspace()->id())) {
                throw Invalid::at('method', 'That method is of another workspace.');
            }
            if ($from->device() === $device) {
                throw Invalid::at('method', 'That is a method of this device already.');
            }
            $made = $this->writer->make(Method::class, $id, $this->inputs->read(
                MethodInput::class, ['device' => $device->id()->toRfc4122()] + MethodRow::of($from, self::LEFT),
            ));
            $this->em->flush();
            $this->after->written([$made]);

            return $made instanceof Method ? $made->view() : throw new \LogicException('A method was made.');
        });
    }
}
