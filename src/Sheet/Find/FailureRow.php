<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Find;

use Lustrum\Core\Failure\Standing;
use Lustrum\Domain\Finding\CauseView;
use Lustrum\Domain\Finding\FailureView;

/** A failure with its causes and where it stands. */
final readonly class FailureRow
{
    /**
     * @param list<CauseView> $causes
     * @param list<string>    $candidates what was proposed against it
     * @param string          $level      at which it happened, as it is said
     * @param string|null     $closedByHand identifier of what somebody said who closed it in words; null: nobody, or it came back
     * @param list<string>    $outside    what its articles came through outside trials without it, as sentences
     */
    public function __construct(
        public FailureView $failure,
        public string $serial,
        public ?string $runLabel,
        public array $causes,
        public Standing $standing,
        public string $sentence,
        public array $candidates,
        public string $level,
        public array $outside,
        public ?string $closedByHand,
    ) {
    }
}
