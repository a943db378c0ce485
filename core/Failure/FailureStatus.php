<?php

declare(strict_types=1);

namespace Lustrum\Core\Failure;

/**
 * A failure closes only where it happened: the revision with the fix must hold in the same kind of trial
 * (`failure.status`). A recurrence opens it again.
 */
final readonly class FailureStatus
{
    private function __construct(
        public Standing $standing,
        public string $sentence,
    ) {
    }

    /** @param list<LaterRevision> $later in the order in which they were made */
    public static function of(array $later): self
    {
        $status = new self(Standing::Open, 'Open: no later build carries a fix.');
        foreach ($later as $revision) {
            if (!$revision->carriesFix) {
                continue;
            }
            if ($revision->recurred > 0) {
                $status = new self(Standing::CameBack, sprintf('Came back on %s, %s.', $revision->letter, $revision->recurred === 1 ? 'once' : $revision->recurred.' times'));
            } elseif ($revision->held > 0) {
                $status = new self(Standing::Closed, sprintf('Closed by %s: %d %s of the same kind held.', $revision->letter, $revision->held, $revision->held === 1 ? 'run' : 'runs'));
            } elseif ($status->standing === Standing::Open) {
                $status = new self(Standing::FixUntried, sprintf('%s carries a fix that nobody has tried where it failed.', $revision->letter));
            }
        }

        return $status;
    }
}
