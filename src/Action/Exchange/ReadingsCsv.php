<?php

declare(strict_types=1);

namespace Lustrum\Action\Exchange;

use Doctrine\DBAL\Connection;
use Lustrum\Core\Quantity\Units;
use Lustrum\Core\Run\CountsFor;
use Lustrum\Core\Run\Purpose;
use Lustrum\Core\Run\Row;
use Lustrum\Core\Run\RunOutcome;
use Lustrum\Core\Wording\ReadingWords;
use Lustrum\Core\Wording\TrialWords;
use Lustrum\Domain\Device\Device;
use Lustrum\Facts\SetAside;
use Lustrum\Shared\Csv;

/** Writes all readings of a device as CSV (RFC 4180, UTF-8): value as typed, unit, UCUM code, and SI, with the run around it. */
final readonly class ReadingsCsv
{
    private const HEADINGS = [
        'build', 'trial', 'method', 'run', 'article_serial', 'started_at', 'operator', 'conditions', 'settings', 'levels', 'outcome',
        'outcome_reason',
        'metric', 'channel', 'typed_value', 'typed_unit', 'typed_unit_ucum', 'typed_resolution', 'value', 'unit', 'si_value', 'si_unit',
        'amended', 'withdrawn', 'said', 'bound', 'uncertainty', 'counts_for', 'set_aside',
    ];

    private const BATCH = 200;

    public function __construct(
        private Connection $db,
    ) {
    }

    /** @return iterable<string> pieces of some lines each */
    public function lines(Device $device): iterable
    {
        $piece = Csv::line(self::HEADINGS);
        $count = 0;
        foreach ($this->db->iterateAssociative(
            "SELECT v.letter, t.name trial, c.content->>'methodName' method, r.number, c.content->>'serial' serial, r.started_at, r.operator, r.levels,
                    r.conditions, r.settings, r.outcome, r.outcome_reason, m.name metric, g.channel,
                    g.typed_value, g.typed_unit, g.typed_resolution, g.current_value, g.current_unit, g.current_si, g.said, g.bound, g.u,
                    g.amendments <> '[]'::jsonb amended, g.withdrawn_because, r.purpose, ".SetAside::why('r').' aside
             FROM reading g JOIN run r ON r.id = g.run_id JOIN configuration c ON c.hash = r.configuration JOIN metric m ON m.id = g.metric_id
             JOIN trial t ON t.id = r.trial_id JOIN revision v ON v.id = t.revision_id
             WHERE g.belongs_to = :device ORDER BY r.started_at, r.number, g.channel', ['device' => $device->id()->toRfc4122()],
        ) as $row) {
            $piece .= Csv::line(self::cells($row));
            if (++$count % self::BATCH === 0) {
                yield $piece;
                $piece = '';
            }
        }
        yield $piece;
    }

    /**
     * @param array<string, mixed> $row
     *
     * @return list<string>
     */
    private static function cells(array $row): array
    {
        $text = static fn (string $key): string => Row::text($row[$key]);
        $unit = Units::parse($text('current_unit'));

        return [
            $text('letter'), $text('trial'), $text('method'), $text('number'), $text('serial'), $text('started_at'), $text('operator'),
            self::found($row['conditions']), self::found($row['settings']), self::found($row['levels']),
            TrialWords::outcome(RunOutcome::tryFrom($text('outcome'))), $text('outcome_reason'), $text('metric'), $text('channel'),
            $text('typed_value'), $text('typed_unit'), Units::ucum($text('typed_unit')), $text('typed_resolution'),
            $text('current_value'), $text('current_unit'), $text('current_si'), $unit->dimension->siUnit(),
            $row['amended'] === true ? 'yes' : 'no', $text('withdrawn_because'), $text('said'), $text('bound'), $text('u'),
            TrialWords::countsFor(CountsFor::of(
                RunOutcome::tryFrom($text('outcome')), Purpose::from($text('purpose')), $text('aside') !== '',
            )), $text('aside'),
        ];
    }

    private static function found(mixed $json): string
    {
        return implode('; ', array_map(
            static fn (array $f): string => ReadingWords::condition(
                Row::text($f['name'] ?? ''), Row::text($f['text'] ?? ''),
            ), Row::rows(Row::json($json)),
        ));
    }
}
