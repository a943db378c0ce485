<?php

declare(strict_types=1);

namespace Lustrum\Worker;

use Lustrum\Action\Files\PrepareFile;
use Lustrum\Action\Files\Preparing;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\Messenger\Attribute\AsMessageHandler;
use Symfony\Component\Messenger\Event\WorkerMessageFailedEvent;
use Symfony\Component\Uid\Uuid;

/** Prepares files in line; one that fails for good says so at its record. */
final readonly class PrepareFileHandler
{
    public function __construct(
        private Preparing $preparing,
    ) {
    }

    #[AsMessageHandler]
    public function prepare(PrepareFile $message): void
    {
        $this->preparing->prepare(Uuid::fromString($message->record));
    }

    #[AsEventListener(priority: -200)]
    public function failed(WorkerMessageFailedEvent $event): void
    {
        $message = $event->getEnvelope()->getMessage();
        if ($message instanceof PrepareFile && !$event->willRetry()) {
            $this->preparing->giveUp(Uuid::fromString($message->record));
        }
    }
}
