<?php

declare(strict_types=1);

namespace Lustrum\Weighing;

use Doctrine\DBAL\Connection;
use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Quantity\Units;
use Lustrum\Device\Device;
use Lustrum\Method\Channel;
use Lustrum\Record\Measure;
use Lustrum\Record\Stored;
use Lustrum\Trial\Configuration;
use Lustrum\Trial\Derivation;
use Lustrum\Trial\RunOutcome;

/** Reads all finished runs of a device with their current readings: two queries, whatever its size. */
final readonly class RunFacts
{
    public function __construct(
        private Connection $db,
    ) {
    }

    /** @return list<RunFact> in the order in which they were made */
    public function ofDevice(Device $device): array
    {
        $id = ['device' => $device->id()->toRfc4122()];
        $readings = [];
        foreach ($this->db->iterateAssociative(
            'SELECT g.run_id, g.channel, g.metric, g.current_unit, g.current_si, g.current_resolution FROM reading g
             JOIN run r ON r.id = g.run_id JOIN trial t ON t.id = r.trial_id JOIN revision v ON v.id = t.revision_id
             WHERE v.device_id = :device AND g.withdrawn_because IS NULL', $id) as $row) {
            $readings[self::text($row['run_id'])][] = $row;
        }
        $runs = $configurations = [];
        foreach ($this->db->iterateAssociative(
            'SELECT r.id, r.trial_id, t.name trial_name, t.repeats, t.method_id, m.outcome_metric, t.revision_id, r.number, r.outcome, r.outcome_reason,
                    r.started_at, r.operator, r.position, r.conditions, r.settings, r.configuration
             FROM run r JOIN trial t ON t.id = r.trial_id JOIN method m ON m.id = t.method_id JOIN revision v ON v.id = t.revision_id
             WHERE v.device_id = :device AND r.outcome IS NOT NULL AND r.withdrawn_because IS NULL AND t.withdrawn_because IS NULL
             ORDER BY r.started_at, r.number', $id) as $row) {
            // Runs of one trial on one unit mostly share their configuration: it is read once.
            $json = self::text($row['configuration']);
            $runs[] = $this->run($row, $configurations[$json] ??= self::configuration($json), $readings[self::text($row['id'])] ?? []);
        }

        return $runs;
    }

    /**
     * @param array<string, mixed>       $row
     * @param list<array<string, mixed>> $readings
     */
    private function run(array $row, Configuration $configuration, array $readings): RunFact
    {
        $outcome = RunOutcome::from(self::text($row['outcome']));
        $channels = [];
        foreach ($configuration->channels as $channel) {
            $channels[self::text($channel['key'])] = $channel;
        }

        return new RunFact(
            self::text($row['id']), self::text($row['trial_id']), self::text($row['trial_name']), self::text($row['method_id']), self::text($row['outcome_metric']), self::text($row['revision_id']),
            $configuration->serial, self::number($row['number']) > 0 ? (int) self::number($row['number']) : 0, $outcome, self::text($row['outcome_reason']), self::text($row['started_at']), self::text($row['operator']), self::text($row['position']),
            self::found(self::text($row['conditions'])), self::found(self::text($row['settings'])), $configuration,
            array_map(static function (array $reading) use ($outcome, $channels): ReadingFact {
                $channel = $channels[self::text($reading['channel'])] ?? [];
                $kind = $outcome === RunOutcome::StoppedEarly ? (ResultKind::tryFrom(self::text($channel['whenStopped'] ?? '')) ?? ResultKind::Equal) : ResultKind::Equal;
                $unit = self::text($reading['current_unit']);

                return new ReadingFact(self::text($reading['channel']), self::text($reading['metric']), $unit, self::number($reading['current_si']), self::number($reading['current_resolution']) * Units::parse($unit)->factor, $kind, self::text($channel['instrument'] ?? ''));
            }, [...$readings, ...self::derived($configuration, $readings)]),
            self::text($row['repeats']) === 'untilItHolds',
        );
    }

    private static function configuration(string $json): Configuration
    {
        /** @var array<string, mixed> $stored */
        $stored = json_decode($json, true, 64, JSON_THROW_ON_ERROR);

        return Stored::one(Configuration::class, $stored);
    }

    /**
     * The channels that are worked out, as rows like those that were read.
     *
     * @param list<array<string, mixed>> $readings
     *
     * @return list<array<string, mixed>>
     */
    private static function derived(Configuration $configuration, array $readings): array
    {
        $derived = array_values(array_filter($configuration->channels, static fn (array $c): bool => self::text($c['formula'] ?? '') !== ''));
        if ($derived === []) {
            return [];
        }
        $measures = [];
        foreach ($readings as $reading) {
            $unit = self::text($reading['current_unit']);
            $measures[self::text($reading['channel'])] = Measure::of(Quantity::of(Units::parse($unit)->fromSi(self::number($reading['current_si'])), $unit, self::number($reading['current_resolution']) ?: null));
        }
        $rows = [];
        foreach (Derivation::of(array_map(static fn (array $c): Channel => new Channel(self::text($c['key']), self::text($c['metric']), self::text($c['unit']), formula: self::text($c['formula'] ?? '')), $derived), $measures) as $i => $result) {
            if ($result->value !== null) {
                $unit = self::text($derived[$i]['unit']);
                // What can be told of it is of the size of its uncertainty.
                $rows[] = ['channel' => $result->channel, 'metric' => $result->metric, 'current_unit' => $unit, 'current_si' => Units::parse($unit)->toSi($result->value), 'current_resolution' => $result->u];
            }
        }

        return $rows;
    }

    /** @return array<string, string> */
    private static function found(string $json): array
    {
        $out = [];
        $rows = json_decode($json, true, 16, JSON_THROW_ON_ERROR);
        foreach (is_array($rows) ? $rows : [] as $row) {
            if (is_array($row)) {
                $out[self::text($row['name'] ?? '')] = self::text($row['text'] ?? '');
            }
        }

        return $out;
    }

    private static function text(mixed $value): string
    {
        return is_scalar($value) ? (string) $value : '';
    }

    private static function number(mixed $value): float
    {
        return is_numeric($value) ? (float) $value : 0.0;
    }
}
