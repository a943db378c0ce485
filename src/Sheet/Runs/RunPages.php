<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Runs;

use Lustrum\Core\Run\RunFact;
use Lustrum\Core\Run\RunOutcome;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Facts\DeviceFacts;
use Lustrum\Facts\Displays;
use Lustrum\Facts\Pages;
use Lustrum\Facts\RunCounts;
use Lustrum\Facts\RunFacts;
use Lustrum\Shared\Page;

/** The runs behind a number, a page at a time: those of one or two builds that say something of a metric. */
final readonly class RunPages
{
    public function __construct(
        private DeviceFacts $facts,
        private RunFacts $runs,
        private Pages $pages,
        private Displays $displays,
    ) {
    }

    /** @param list<Revision> $builds */
    public function of(array $builds, string $metric, Page $page): RunPage
    {
        $ids = '{'.implode(',', array_map(static fn (Revision $r): string => $r->id()->toRfc4122(), $builds)).'}';
        [$found, $next] = $this->pages->ids(
            'SELECT r.id, r.started_at at FROM run r JOIN trial t ON t.id = r.trial_id JOIN configuration c ON c.hash = r.configuration
             WHERE t.revision_id = ANY(CAST(? AS uuid[])) AND r.outcome IS NOT NULL AND NOT '.RunCounts::ended('r', RunOutcome::Void).' AND r.withdrawn_because IS NULL
               AND (c.content @> CAST(? AS jsonb) OR c.content @> CAST(? AS jsonb))',
            [
                $ids, json_encode(['questions' => [['metric' => $metric]]], \JSON_THROW_ON_ERROR),
                json_encode(['channels' => [['metric' => $metric]]], \JSON_THROW_ON_ERROR),
            ],
            $page,
        );
        $names = $builds === [] ? [] : $this->facts->metrics($builds[0]->device()->id()->toRfc4122());
        $said = static fn (RunFact $r): bool => $r->reading($metric) !== null || $r->answers($metric) || $r->lost();
        $facts = array_values(array_filter($this->runs->these($found), $said));

        $displays = $this->displays->ofRuns(array_map(static fn (RunFact $r): string => $r->id, $facts));

        return new RunPage(
            array_map(static fn (RunFact $r): RunRow => RunRow::of($r, $names, $displays[$r->id] ?? []), array_reverse($facts)), $next,
        );
    }
}
