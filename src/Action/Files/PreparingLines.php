<?php

declare(strict_types=1);

namespace Lustrum\Action\Files;

use Lustrum\Storage\Files;
use Lustrum\Storage\Line;
use Lustrum\Storage\Preview;
use Lustrum\Storage\StoredDocument;
use Lustrum\Storage\StoredFile;
use Symfony\Component\Messenger\MessageBusInterface;
use Symfony\Component\Messenger\Stamp\TransportNamesStamp;
use Symfony\Component\Uid\Uuid;

/**
 * Puts files in line to be prepared, pictures and recordings each in their own. Called in the transaction of the record:
 * there is none that waits without standing in line.
 */
final readonly class PreparingLines
{
    public function __construct(
        private MessageBusInterface $bus,
        private Files $files,
    ) {
    }

    /** @param Uuid $id of the record that holds it */
    public function take(Uuid $id, StoredFile $file): void
    {
        if ($file->waits() || ($file->isPicture() && !$this->files->has($file->sha256, true))) {
            $this->put($id, $file->kind->line());
        }
    }

    public function document(Uuid $id, StoredDocument $file): void
    {
        if ($file->preview === Preview::Waiting) {
            $this->put($id, Line::Pictures);
        }
    }

    private function put(Uuid $id, Line $line): void
    {
        $this->bus->dispatch(new PrepareFile($id->toRfc4122()), [new TransportNamesStamp([$line->value])]);
    }
}
