<?php

declare(strict_types=1);

namespace Lustrum\Domain\Revision;

use Lustrum\Core\Wording\Messages;

/** Something about a build that was always so, and was written down wrongly: all its runs took it over. */
final readonly class Correction
{
    public string $sentence;

    /** @param int $runs whose stored configuration took it over */
    public function __construct(
        public string $what,
        public string $reason,
        public string $by,
        public string $at,
        public int $runs,
    ) {
        $this->sentence = Messages::say('build.corrected', ['by' => $by, 'what' => $what, 'reason' => $reason, 'runs' => $runs]);
    }
}
