<?php

declare(strict_types=1);

namespace Lustrum\Facts;

use Doctrine\DBAL\Connection;
use Lustrum\Core\Rig\Happening;
use Lustrum\Core\Rig\HappeningKind;
use Lustrum\Core\Rig\Verified;
use Lustrum\Core\Run\Row;

/** What is known of an article before a run: settings as they were last found, and what happened to it since. */
final readonly class RigFacts
{
    /** Runs of an article that are gone through for its settings, the last ones. */
    private const RUNS = 60;

    private const HAPPENINGS = 200;

    private const AT = "to_char(%s AT TIME ZONE 'UTC', 'YYYY-MM-DD\"T\"HH24:MI:SS.US\"Z\"')";

    public function __construct(
        private Connection $db,
    ) {
    }

    /**
     * @param \DateTimeImmutable $before when the run was begun that they are asked for
     * @param string             $not    that run
     *
     * @return list<Verified>
     */
    public function verified(string $article, \DateTimeImmutable $before, string $not): array
    {
        $out = [];
        foreach ($this->db->fetchAllAssociative(
            'SELECT r.number, t.name, r.settings, '.sprintf(self::AT, 'coalesce(r.found_at, r.started_at)').' at FROM run r JOIN trial t ON t.id = r.trial_id
             WHERE r.article_id = ? AND r.started_at <= ? AND r.id <> ? AND r.withdrawn_because IS NULL
             ORDER BY r.started_at DESC, r.number DESC LIMIT '.self::RUNS,
            [$article, $before->format('Y-m-d H:i:s.uP'), $not],
        ) as $row) {
            foreach (Row::found($row['settings']) as $name => $text) {
                if (!in_array(mb_strtolower(trim($text)), ['', 'unknown'], true)) {
                    $out[] = new Verified(
                        (string) $name, $text, Row::whole($row['number']), Row::text($row['name']), Row::text($row['at']),
                    );
                }
            }
        }

        // Of two runs that were begun at once the later one comes last.
        return array_reverse($out);
    }

    /** When the last run on an article before another ended, as far as its clock tells; else when it was begun. Null: there is none. */
    public function lastEnd(string $article, \DateTimeImmutable $before, string $not): ?\DateTimeImmutable
    {
        $at = $this->db->fetchOne(
            "SELECT coalesce(clock_at, started_at) + coalesce(lasted, 0) * interval '1 second' FROM run
             WHERE article_id = ? AND started_at <= ? AND id <> ? AND withdrawn_because IS NULL ORDER BY started_at DESC, number DESC LIMIT 1",
            [$article, $before->format('Y-m-d H:i:s.uP'), $not],
        );

        return is_string($at) ? new \DateTimeImmutable($at) : null;
    }

    /**
     * @param \DateTimeImmutable|null $until null: up to now
     *
     * @return list<Happening>
     */
    public function happenings(string $article, ?\DateTimeImmutable $until = null): array
    {
        return array_map(
            static fn (array $row): Happening => new Happening(
                HappeningKind::from(Row::text($row['kind'])), Row::text($row['at']), Row::text($row['note']),
            ),
            $this->db->fetchAllAssociative(
                'SELECT kind, note, '.sprintf(self::AT, 'at').' at FROM happening WHERE article_id = ? AND withdrawn_because IS NULL
                 AND (CAST(? AS timestamptz) IS NULL OR at <= ?) ORDER BY at DESC LIMIT '.self::HAPPENINGS,
                [$article, $until?->format('Y-m-d H:i:s.uP'), $until?->format('Y-m-d H:i:s.uP')],
            ),
        );
    }
}
