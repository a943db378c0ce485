<?php

declare(strict_types=1);

namespace Lustrum\Exchange;

use Doctrine\DBAL\Connection;
use Lustrum\Core\Quantity\Units;
use Lustrum\Device\Device;

/** Writes all readings of a device as CSV (RFC 4180, UTF-8): value as typed, unit, UCUM code, and SI. */
final readonly class ReadingsCsv
{
    private const HEADINGS = ['build', 'trial', 'method', 'run', 'unit_serial', 'started_at', 'outcome', 'metric', 'channel', 'typed_value', 'typed_unit', 'typed_unit_ucum', 'typed_resolution', 'value', 'unit', 'si_value', 'si_unit', 'amended', 'withdrawn'];

    public function __construct(
        private Connection $db,
    ) {
    }

    /** @return iterable<string> lines */
    public function lines(Device $device): iterable
    {
        yield self::line(self::HEADINGS);
        $rows = $this->db->iterateAssociative(
            "SELECT v.letter, t.name trial, m.name method, r.number, r.configuration->>'serial' serial, r.started_at, r.outcome, g.metric, g.channel,
                    g.typed_value, g.typed_unit, g.typed_resolution, g.current_value, g.current_unit, g.current_si, g.amendments::text <> '[]' amended, g.withdrawn_because
             FROM reading g JOIN run r ON r.id = g.run_id JOIN trial t ON t.id = r.trial_id JOIN method m ON m.id = t.method_id JOIN revision v ON v.id = t.revision_id
             WHERE v.device_id = :device ORDER BY r.started_at, r.number, g.channel", ['device' => $device->id()->toRfc4122()]);
        foreach ($rows as $row) {
            $text = static fn (string $key): string => is_scalar($row[$key]) ? (string) $row[$key] : '';
            $unit = Units::parse($text('current_unit'));
            yield self::line([$text('letter'), $text('trial'), $text('method'), $text('number'), $text('serial'), $text('started_at'), $text('outcome') ?: 'not finished', $text('metric'), $text('channel'), $text('typed_value'), $text('typed_unit'), Units::ucum($text('typed_unit')), $text('typed_resolution'), $text('current_value'), $text('current_unit'), $text('current_si'), $unit->dimension->siUnit(), $row['amended'] === true ? 'yes' : 'no', $text('withdrawn_because')]);
        }
    }

    /** @param list<string> $cells */
    private static function line(array $cells): string
    {
        return implode(',', array_map(static function (string $cell): string {
            // A spreadsheet would run a text that begins like a formula; a number may begin with a minus.
            $safe = !is_numeric($cell) && preg_match('/^[=+\-@\t\r]/', $cell) === 1 ? "'".$cell : $cell;

            return preg_match('/[",\r\n]/', $safe) === 1 ? '"'.str_replace('"', '""', $safe).'"' : $safe;
        }, $cells))."\r\n";
    }
}
