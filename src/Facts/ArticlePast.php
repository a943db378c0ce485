<?php

declare(strict_types=1);

namespace Lustrum\Facts;

use Doctrine\DBAL\Connection;
use Lustrum\Core\Run\Row;
use Lustrum\Core\Run\RunOutcome;

/** What articles have been through, counted from their runs. */
final readonly class ArticlePast
{
    public function __construct(
        private Connection $db,
    ) {
    }

    /** @return array{runs: int, failures: int, lost: int} up to a moment */
    public function before(string $article, \DateTimeImmutable $moment): array
    {
        return $this->count(
            'article_id = ? AND started_at < ?', [$article, $moment->format('Y-m-d H:i:s.uP')],
        )[$article] ?? ['runs' => 0, 'failures' => 0, 'lost' => 0];
    }

    /**
     * @param list<string> $articles
     *
     * @return array<string, array{runs: int, failures: int, lost: int}> over all builds that they were of, by identifier
     */
    public function of(array $articles): array
    {
        return $this->count('article_id = ANY(CAST(? AS uuid[]))', ['{'.implode(',', $articles).'}']);
    }

    /**
     * A check that does not wear the article adds nothing to its past.
     *
     * @param list<string> $with
     *
     * @return array<string, array{runs: int, failures: int, lost: int}>
     */
    private function count(string $where, array $with): array
    {
        $out = [];
        foreach ($this->db->fetchAllAssociative(
            sprintf('SELECT article_id, count(*) FILTER (WHERE NOT coalesce(%s, false) AND m.wears) runs,
                    count(*) FILTER (WHERE %s) failures, count(*) FILTER (WHERE %s) lost
             FROM run r JOIN trial t ON t.id = r.trial_id JOIN method m ON m.id = t.method_id
             WHERE r.withdrawn_because IS NULL AND %s GROUP BY article_id', RunCounts::ended('r', RunOutcome::Void),
                RunCounts::ended('r', RunOutcome::Failed), RunCounts::ended('r', RunOutcome::Lost), $where), $with,
        ) as $row) {
            $out[Row::text($row['article_id'])] = [
                'runs' => Row::whole($row['runs']), 'failures' => Row::whole($row['failures']), 'lost' => Row::whole($row['lost']),
            ];
        }

        return $out;
    }
}
