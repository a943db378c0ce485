<?php

declare(strict_types=1);

namespace Lustrum\Facts;

use Doctrine\DBAL\Connection;
use Lustrum\Core\Judging\TrialPlan;

/**
 * Counts that the answer of trials was opened: once for each time that runs had ended since, from the planned number on.
 *
 * Who looks again after more runs has had one more chance to be misled, whether or not that was the intention.
 */
final readonly class Opened
{
    public function __construct(
        private Connection $db,
        private DeviceFacts $facts,
    ) {
    }

    /** @return bool would it be counted now? */
    public function isNew(Book $book, string ...$builds): bool
    {
        return $this->unseen($builds, array_merge(...array_map(
            static fn (string $build): array => $book->plans($book->build($build)), array_values($builds),
        ))) !== [];
    }

    /** Counts it: the answer of these builds was shown. Nothing that is worked out changes by that. */
    public function count(string ...$builds): void
    {
        $new = $this->unseen($builds, array_merge(...array_values($this->facts->plans(array_values($builds)))));
        // Who looks at the same moment finds it counted.
        $this->db->executeStatement(
            'UPDATE trial u SET looks = u.looks + 1, looked = q.ended
             FROM unnest(CAST(? AS uuid[]), CAST(? AS int[])) q(id, ended) WHERE q.id = u.id AND q.ended > u.looked',
            ['{'.implode(',', array_keys($new)).'}', '{'.implode(',', $new).'}'],
        );
    }

    /**
     * @param array<array-key, string> $builds
     * @param list<TrialPlan>          $plans  of their trials
     *
     * @return array<string, int> runs that have ended, by trial of which nobody has seen all
     */
    private function unseen(array $builds, array $plans): array
    {
        $looked = $this->facts->looked(array_values($builds));
        $new = [];
        foreach ($plans as $plan) {
            if ($plan->isReached && $plan->ended > ($looked[$plan->trial] ?? 0)) {
                $new[$plan->trial] = $plan->ended;
            }
        }

        return $new;
    }
}
