<?php

declare(strict_types=1);

namespace Lustrum\Trial;

use Doctrine\DBAL\Connection;
use Lustrum\Revision\Article;

/** What a unit has been through, counted from its runs. */
final readonly class ArticlePast
{
    private function __construct(
        public int $runs,
        public int $failures,
        public int $lost,
    ) {
    }

    /** Up to a moment; everything where none is given. */
    public static function before(Connection $db, ?Article $article, ?\DateTimeImmutable $moment = null): self
    {
        if ($article === null) {
            return new self(0, 0, 0);
        }
        $row = $db->fetchAssociative(
            "SELECT count(*) FILTER (WHERE outcome IS DISTINCT FROM 'void') runs, count(*) FILTER (WHERE outcome = 'failed') failures, count(*) FILTER (WHERE outcome = 'lost') lost
             FROM run WHERE article_id = :article AND withdrawn_because IS NULL AND (started_at < CAST(:moment AS timestamptz) OR CAST(:moment AS timestamptz) IS NULL)",
            ['article' => $article->id()->toRfc4122(), 'moment' => $moment?->format('Y-m-d H:i:s.uP')],
        );
        $count = static fn (string $key): int => is_array($row) && is_numeric($row[$key]) ? (int) $row[$key] : 0;

        return new self($count('runs'), $count('failures'), $count('lost'));
    }
}
