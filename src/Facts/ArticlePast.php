<?php

declare(strict_types=1);

namespace Lustrum\Facts;

use Doctrine\DBAL\Connection;
use Lustrum\Core\Run\Row;

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

    /** @return array<string, array{runs: int, failures: int, lost: int}> of all articles of a build, by identifier */
    public function ofBuild(string $build): array
    {
        return $this->count('article_id IN (SELECT id FROM article WHERE revision_id = ?)', [$build]);
    }

    /**
     * @param list<string> $with
     *
     * @return array<string, array{runs: int, failures: int, lost: int}>
     */
    private function count(string $where, array $with): array
    {
        $out = [];
        foreach ($this->db->fetchAllAssociative(
            "SELECT article_id, count(*) FILTER (WHERE outcome IS DISTINCT FROM 'void') runs,
                    count(*) FILTER (WHERE outcome = 'failed') failures, count(*) FILTER (WHERE outcome = 'lost') lost
             FROM run WHERE withdrawn_because IS NULL AND ".$where.' GROUP BY article_id', $with,
        ) as $row) {
            $out[Row::text($row['article_id'])] = [
                'runs' => Row::whole($row['runs']), 'failures' => Row::whole($row['failures']), 'lost' => Row::whole($row['lost']),
            ];
        }

        return $out;
    }
}
