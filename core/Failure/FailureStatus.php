<?php

declare(strict_types=1);

namespace Lustrum\Core\Failure;

/**
 * A failure closes only where it happened: the revision with the fix must hold in the same kind of trial
 * (`failure.status`). A recurrence opens it again.
 */
final readonly class FailureStatus
{
    /**
     * @param string $letter of the revision that decided it; empty while it is open
     * @param int    $count  runs that held there, or times that it came back
     */
    private function __construct(
        public Standing $standing,
        public string $letter = '',
        public int $count = 0,
    ) {
    }

    /** @param list<LaterRevision> $later in the order in which they were made */
    public static function of(array $later): self
    {
        $status = new self(Standing::Open);
        foreach ($later as $revision) {
            if (!$revision->carriesFix) {
                continue;
            }
            if ($revision->recurred > 0) {
                $status = new self(Standing::CameBack, $revision->letter, $revision->recurred);
            } elseif ($revision->held > 0) {
                $status = new self(Standing::Closed, $revision->letter, $revision->held);
            } elseif ($status->standing === Standing::Open) {
                $status = new self(Standing::FixUntried, $revision->letter);
            }
        }

        return $status;
    }
}
