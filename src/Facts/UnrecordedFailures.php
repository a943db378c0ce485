<?php

declare(strict_types=1);

namespace Lustrum\Facts;

use Doctrine\DBAL\Connection;
use Lustrum\Core\Failure\Unrecorded;
use Lustrum\Core\Run\Answer;
use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\CountsFor;
use Lustrum\Core\Run\Row;
use Lustrum\Core\Run\RunOutcome;

/** What failed on a build, or held only just, and of which nobody wrote down how: it is as open as what was written down. */
final readonly class UnrecordedFailures
{
    /** Runs that are looked through, the newest first. */
    private const MOST = 500;

    public function __construct(
        private Connection $db,
    ) {
    }

    /** @return list<Unrecorded> what most runs say first, then what went wrong outside trials */
    public function of(string $build): array
    {
        return [...$this->inRuns($build), ...$this->outside($build)];
    }

    /** @return list<Unrecorded> */
    private function inRuns(string $build): array
    {
        $out = [];
        foreach ($this->db->fetchAllAssociative(
            sprintf(
                "SELECT r.id, r.number, t.name trial, r.outcome, r.answers, c.content->'questions' questions,
                    (SELECT json_agg(f.question) FROM failure f WHERE f.run_id = r.id AND f.withdrawn_because IS NULL) written
                 FROM run r JOIN trial t ON t.id = r.trial_id JOIN configuration c ON c.hash = r.configuration
                 WHERE t.revision_id = ? AND t.withdrawn_because IS NULL AND r.withdrawn_because IS NULL AND %s AND (%s OR r.answers::text LIKE ?)
                 ORDER BY r.started_at DESC, r.number DESC LIMIT %d",
                RunCounts::are('r', CountsFor::Result), RunCounts::ended('r', RunOutcome::Failed), self::MOST,
            ), [$build, '%"'.Answer::OnlyJust->value.'"%'],
        ) as $row) {
            $written = $row['written'] === null ? [] : Row::texts(Row::json($row['written']));
            foreach (self::said($row) as [$question, $text, $isJust]) {
                // A failure that stands alone says how the run failed.
                if (!in_array($question, $written, true) && !in_array('', $written, true)) {
                    $key = ($isJust ? 'just ' : '').$question.' '.$text;
                    $out[$key] = ($out[$key] ?? new Unrecorded($isJust ? 'just' : 'run', $text))
                        ->and(Row::text($row['id']), Row::text($row['trial']), Row::whole($row['number']));
                }
            }
        }
        usort($out, static fn (Unrecorded $a, Unrecorded $b): int => count($b->runs) <=> count($a->runs));

        return $out;
    }

    /**
     * @param array<string, mixed> $row
     *
     * @return list<array{string, string, bool}> questions that failed or held only just: key, words, only just
     */
    private static function said(array $row): array
    {
        $made = Configuration::fromRow(['questions' => Row::json($row['questions'])]);
        [$given, $outcome] = [Answer::kept($row['answers']), RunOutcome::tryFrom(Row::text($row['outcome']))];
        $out = [];
        foreach ($made->questions as $question) {
            $answer = Answer::to($question->key, $given, $outcome);
            if ($answer === Answer::Failed || $answer === Answer::OnlyJust) {
                $out[] = [$question->key, $question->text, $answer === Answer::OnlyJust];
            }
        }

        return $out === [] && $outcome === RunOutcome::Failed ? [['', '', false]] : $out;
    }

    /** @return list<Unrecorded> what went wrong in use, where no failure of the article is called so */
    private function outside(string $build): array
    {
        $out = [];
        foreach ($this->db->fetchAllAssociative(
            "SELECT a.id, a.serial, u->>'wrong' wrong, u->>'day' AS day FROM article a CROSS JOIN LATERAL jsonb_array_elements(a.uses) u
             WHERE a.revision_id = ? AND a.withdrawn_because IS NULL AND lower(trim(u->>'wrong')) NOT IN ('', 'nothing')
               AND NOT EXISTS (SELECT 1 FROM failure f WHERE f.article_id = a.id AND f.withdrawn_because IS NULL
                   AND position(lower(trim(f.mode)) IN lower(u->>'wrong')) > 0)
             ORDER BY a.created_at, a.serial", [$build],
        ) as $row) {
            $out[] = new Unrecorded('use', Row::text($row['wrong']), article: Row::text($row['serial']), day: Row::text($row['day']));
        }

        return $out;
    }
}
