<?php

declare(strict_types=1);

namespace Lustrum\Facts;

use Doctrine\DBAL\Connection;
use Lustrum\Core\Plan\Made;
use Lustrum\Core\Run\CountsFor;
use Lustrum\Core\Run\Purpose;
use Lustrum\Core\Run\Row;
use Lustrum\Core\Run\RunOutcome;
use Lustrum\Core\Setting\SettingResult;

/** What plans are held against: the runs that were made of them. */
final readonly class PlanFacts
{
    /** Runs share what they were made with: its variant is read once for all that do. */
    private const MADE = "WITH made AS MATERIALIZED (
            SELECT r.trial_id, r.id, r.number, r.levels, r.outcome, r.purpose, %s aside, r.settings, r.stands, r.configuration
            FROM run r JOIN trial t ON t.id = r.trial_id WHERE %s AND %s AND r.withdrawn_because IS NULL
        ), arms AS MATERIALIZED (
            SELECT hash, content->>'arm' arm FROM configuration WHERE hash IN (SELECT DISTINCT configuration FROM made)
        ) SELECT made.*, arms.arm FROM made JOIN arms ON arms.hash = made.configuration ORDER BY made.trial_id, made.number";

    public function __construct(
        private Connection $db,
    ) {
    }

    /** @return array<string, list<Made>> runs of the trials of a build that have a plan, by trial, in their order */
    public function made(string $build): array
    {
        $out = $known = [];
        foreach ($this->db->iterateAssociative(
            self::select('t.revision_id = ? AND t.layout IS NOT NULL'), [$build],
        ) as $row) {
            $out[Row::text($row['trial_id'])][] = self::read($row, $known);
        }

        return $out;
    }

    /** @return list<Made> runs of one trial, in their order */
    public function madeOf(string $trial): array
    {
        $out = $known = [];
        foreach ($this->db->iterateAssociative(self::select('t.id = ?'), [$trial]) as $row) {
            $out[] = self::read($row, $known);
        }

        return $out;
    }

    private static function select(string $where): string
    {
        return sprintf(self::MADE, SetAside::is('r'), $where, RunCounts::are('r', ...array_filter(
            CountsFor::cases(), static fn (CountsFor $f): bool => $f !== CountsFor::Rig,
        )));
    }

    /**
     * @param array<string, mixed>                 $row
     * @param array<string, array<string, string>> $known what was read already: runs of a plan say the same again and again
     */
    private static function read(array $row, array &$known): Made
    {
        [$levels, $settings] = [Row::text($row['levels']), Row::text($row['settings'])];

        return new Made(
            Row::text($row['id']), Row::whole($row['number']), $known[$levels] ??= Row::found($levels), Row::text($row['arm']),
            RunOutcome::tryFrom(Row::text($row['outcome'])), $known[$settings] ??= Row::found($settings),
            SettingResult::tryFrom(Row::text($row['stands'])), Purpose::from(Row::text($row['purpose'])), (bool) $row['aside'],
        );
    }
}
