<?php

declare(strict_types=1);

namespace Lustrum\Facts;

use Doctrine\DBAL\Connection;
use Lustrum\Core\Run\Row;
use Symfony\Component\Uid\Uuid;

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
        private Books $books,
        private Summaries $summaries,
    ) {
    }

    /**
     * @param string ...$builds whose answers are opened
     *
     * @return Book the same; opened anew where what it knows of them rests on fewer looks
     */
    public function now(Book $book, string ...$builds): Book
    {
        $looked = $this->facts->looked(array_values($builds));
        $new = [];
        foreach ($builds as $build) {
            foreach ($book->plans($book->build($build)) as $plan) {
                if ($plan->isReached && $plan->ended > ($looked[$plan->trial] ?? 0)) {
                    $new[$plan->trial] = $plan->ended;
                }
            }
        }

        return $new !== [] && $this->count($book->device->id, $new) ? $this->books->open(Uuid::fromString($book->device->id)) : $book;
    }

    /**
     * @param array<string, int> $new runs that have ended, by trial
     *
     * @return bool whether anything that was kept rests on how often they were opened
     */
    private function count(string $device, array $new): bool
    {
        return $this->db->transactional(function () use ($device, $new): bool {
            $dropped = new Dropped();
            // Who looks at the same moment finds it counted.
            foreach ($this->db->fetchAllAssociative(
                'UPDATE trial u SET looks = u.looks + 1, looked = q.ended
                 FROM unnest(CAST(? AS uuid[]), CAST(? AS int[])) q(id, ended)
                 WHERE q.id = u.id AND q.ended > u.looked RETURNING u.revision_id, u.looks',
                ['{'.implode(',', array_keys($new)).'}', '{'.implode(',', $new).'}'],
            ) as $row) {
                // The first look costs nothing, so what was worked out before it stays as it is.
                if (Row::whole($row['looks']) > 1) {
                    $dropped->build(Row::text($row['revision_id']));
                }
            }
            if ($dropped->builds !== []) {
                $this->summaries->drop($device, $dropped);
            }

            return $dropped->builds !== [];
        });
    }
}
