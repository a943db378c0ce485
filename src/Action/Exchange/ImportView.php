<?php

declare(strict_types=1);

namespace Lustrum\Action\Exchange;

use Lustrum\Core\Wording\Messages;

/** What an import brought in. */
final readonly class ImportView
{
    public string $sentence;

    public function __construct(
        public string $device,
        public string $name,
        public int $records,
        public int $pictures,
    ) {
        $this->sentence = Messages::say('frame.imported', ['name' => $name, 'n' => $records]);
    }
}
