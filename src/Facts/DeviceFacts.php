<?php

declare(strict_types=1);

namespace Lustrum\Facts;

use Doctrine\DBAL\Connection;
use Lustrum\Core\Alike\Scale;
use Lustrum\Core\Change\ChangeClass;
use Lustrum\Core\Change\Expectation;
use Lustrum\Core\Evidence\Direction;
use Lustrum\Core\Evidence\Kind;
use Lustrum\Core\Evidence\Requirement as Rule;
use Lustrum\Core\Judging\Build;
use Lustrum\Core\Judging\ChangeFact;
use Lustrum\Core\Judging\Device;
use Lustrum\Core\Judging\FirstStage;
use Lustrum\Core\Judging\Lineage;
use Lustrum\Core\Judging\Members;
use Lustrum\Core\Judging\TrialPlan;
use Lustrum\Core\Judging\Unrelated;
use Lustrum\Core\Judging\Wanted;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Run\Parameter;
use Lustrum\Core\Run\Part;
use Lustrum\Core\Run\Row;
use Lustrum\Core\Wording\AccountWords;
use Lustrum\Domain\Revision\PartStanding;
use Lustrum\Shared\Refusal\NotThere;

/** Reads what a team wrote down of a device and its builds, as arrays: a query each, whatever their number. */
final readonly class DeviceFacts
{
    /** What was planned of trials. */
    private const PLANNED = 't.id, t.planned_runs, t.looks, t.looked, t.state, t.repeats, t.until_channel, t.until_width, d.confidence
        FROM trial t JOIN device d ON d.id = t.belongs_to';

    /**
     * What all parts of a build cost, and weigh in kilograms where each was weighed; what is there for now only is no part of the
     * product. In decimals: in which order rows are added changes no last digit.
     */
    private const SUMS = 'sum(CAST(quantity AS numeric) * CAST(cost AS numeric)) '.self::OF_THESE.' AS cost,
        CASE WHEN count(mass) '.self::OF_THESE.' = '.self::STAY.'
        THEN sum(CAST(quantity AS numeric) * CAST(mass AS numeric)) '.self::OF_THESE.' / 1000 END AS mass';

    private const OF_THESE = "FILTER (WHERE standing = '".PartStanding::Stays->value."') OVER (PARTITION BY revision_id)";
    private const STAY = 'count(*) '.self::OF_THESE;

    public function __construct(
        private Connection $db,
        private RunFacts $runs,
    ) {
    }

    /** @return array{Device, int} the device, and the counter of its writes */
    public function device(string $id): array
    {
        $row = $this->db->fetchAssociative('SELECT * FROM device WHERE id = ?', [$id]) ?: throw NotThere::here();
        $device = new Device(
            $id, Row::text($row['name']), Row::number($row['confidence']), Row::text($row['currency']),
            Row::textOrNull($row['cost_limit']), Row::numberOrNull($row['hours_limit']),
            $row['changes_limit'] === null ? null : Row::whole($row['changes_limit']),
        );

        return [$device, Row::whole($row['counter'])];
    }

    /**
     * A copy of a device has its name, and would tell it only what it knows.
     *
     * @return array<string, string> names of other devices of its workspace that have a method of a name that this one has, by identifier
     */
    public function alsoUsing(string $device): array
    {
        return array_map(Row::text(...), $this->db->fetchAllKeyValue(
            'SELECT DISTINCT o.id, o.name FROM device d JOIN device o ON o.workspace_id = d.workspace_id AND lower(o.name) <> lower(d.name)
             JOIN method m ON m.device_id = o.id WHERE d.id = ? AND m.name IN (SELECT name FROM method WHERE device_id = d.id)
             ORDER BY o.name, o.id',
            [$device],
        ));
    }

    public function lineage(string $device): Lineage
    {
        $parameters = $this->by(
            $device, 'parameter',
            'revision_id, name, measure_value AS value, measure_unit AS unit, measure_resolution AS resolution, measure_si AS si, words,
             uncertainty AS u, length(formula) > 0 AS follows',
        );
        $parts = $this->by($device, 'part', 'revision_id, name, material, quantity, module_id, '.self::SUMS);
        $changes = $this->by($device, 'change', 'revision_id, id, what, class, effects, against, alters');
        $unrelated = $this->by($device, 'unrelated', 'revision_id, id, metric_id, what, created_by, brought_in_by');
        $builds = [];
        foreach ($this->db->iterateAssociative(
            'SELECT id, letter, parent_id, branch, firmware, created_at, arms, chosen_arm, family, worst_arm FROM revision WHERE device_id = ? AND withdrawn_because IS NULL',
            [$device],
        ) as $row) {
            $id = Row::text($row['id']);
            $builds[] = new Build(
                $id, Row::text($row['letter']), Row::textOrNull($row['parent_id']), Row::text($row['branch']), Row::text($row['firmware']),
                Row::text($row['created_at']),
                array_map(Parameter::fromRow(...), $parameters[$id] ?? []), array_map(Part::fromRow(...), $parts[$id] ?? []),
                array_map(self::change(...), $changes[$id] ?? []), self::arms($row['arms']), Row::text($row['chosen_arm']),
                Row::numberOrNull($parts[$id][0]['cost'] ?? null), Row::numberOrNull($parts[$id][0]['mass'] ?? null),
                (bool) $row['family'], Row::text($row['worst_arm']), self::modules($parts[$id] ?? []),
                self::out($row['arms']), self::unrelated($unrelated[$id] ?? []),
            );
        }

        return Lineage::of($builds);
    }

    /**
     * @return array<string, list<array<string, mixed>>> by build, in the order in which they were made
     */
    private function by(string $device, string $table, string $columns): array
    {
        $out = [];
        foreach ($this->db->iterateAssociative(
            'SELECT '.$columns.' FROM '.$table.' WHERE belongs_to = ? AND withdrawn_because IS NULL ORDER BY created_at, id', [$device],
        ) as $row) {
            $out[Row::text($row['revision_id'])][] = $row;
        }

        return $out;
    }

    /** @param list<array<string, mixed>> $rows */
    private static function unrelated(array $rows): Unrelated
    {
        $out = [];
        foreach ($rows as $row) {
            $out[Row::text($row['metric_id'])][] = [
                'what' => Row::text($row['what']), 'id' => Row::text($row['id']),
                'by' => AccountWords::author(Row::text($row['created_by']), Row::text($row['brought_in_by'])),
            ];
        }

        return new Unrelated($out);
    }

    /**
     * @param list<array<string, mixed>> $parts
     *
     * @return array<string, string> build of another device that a part is, by the name of the part
     */
    private static function modules(array $parts): array
    {
        $out = [];
        foreach ($parts as $part) {
            if ($part['module_id'] !== null) {
                $out[Row::text($part['name'])] = Row::text($part['module_id']);
            }
        }

        return $out;
    }

    /**
     * Which device each of these is of.
     *
     * @param 'revision'|'requirement' $table
     * @param array<string>            $ids
     *
     * @return array<string, string> device by identifier
     */
    public function deviceOf(string $table, array $ids): array
    {
        return array_map(Row::text(...), $ids === [] ? [] : $this->db->fetchAllKeyValue(
            'SELECT id, device_id FROM '.$table.' WHERE id = ANY(CAST(? AS uuid[]))', ['{'.implode(',', $ids).'}'],
        ));
    }

    /** @return array<array-key, list<Parameter>> parameters that each arm has otherwise, by its name */
    private static function arms(mixed $stored): array
    {
        $out = [];
        foreach (Row::rows(Row::json($stored)) as $arm) {
            $out[Row::text($arm['name'] ?? '')] = array_map(
                static fn (array $v): Parameter => Parameter::typed(Row::text($v['name'] ?? ''), Row::text($v['text'] ?? '')),
                Row::rows($arm['values'] ?? []),
            );
        }

        return $out;
    }

    /** @return list<string> arms that were taken out before they were tried */
    private static function out(mixed $stored): array
    {
        $out = array_filter(Row::rows(Row::json($stored)), static fn (array $arm): bool => Row::text($arm['eliminated'] ?? '') !== '');

        return array_values(array_map(static fn (array $arm): string => Row::text($arm['name'] ?? ''), $out));
    }

    /** @param array<string, mixed> $row */
    private static function change(array $row): ChangeFact
    {
        return new ChangeFact(
            Row::text($row['id']), Row::text($row['what']), ChangeClass::from(Row::text($row['class'])), array_map(
                Expectation::fromRow(...), Row::rows(Row::json($row['effects'])),
            ),
            Row::texts(Row::json($row['against'])), Row::texts(Row::json($row['alters'])),
        );
    }

    /** @return array<string, string> names by identifier */
    public function metrics(string $device): array
    {
        return array_map(Row::text(...), $this->db->fetchAllKeyValue('SELECT id, name FROM metric WHERE device_id = ?', [$device]));
    }

    /**
     * What the values of each metric can be, without what hangs on trials.
     *
     * @return array<string, array{low: ?float, high: ?float, scale: ?Scale, computed: bool, words: list<string>, count: bool}> by identifier; the
     *     limits in SI
     */
    public function scales(string $device): array
    {
        $out = [];
        foreach ($this->db->fetchAllAssociative(
            'SELECT id, natural_low, natural_high, effects, computed, scale, words FROM metric WHERE device_id = ?', [$device],
        ) as $row) {
            $words = $row['scale'] === 'ordered' ? Row::texts(Row::json($row['words'])) : [];
            $out[Row::text($row['id'])] = [
                // Of words the value is their place.
                'low' => $words === [] ? Row::numberOrNull($row['natural_low']) : 1.0,
                'high' => $words === [] ? Row::numberOrNull($row['natural_high']) : (float) count($words), 'words' => $words,
                'scale' => Scale::tryFrom(Row::text($row['effects'])), 'computed' => (bool) $row['computed'],
                'count' => $row['scale'] === 'count',
            ];
        }

        return $out;
    }

    /**
     * What was planned of the trials of builds, and how far they came. A trial that is repeated until it holds is at its end
     * when it did.
     *
     * @param list<string> $builds
     *
     * @return array<string, list<TrialPlan>> by build
     */
    public function plans(array $builds): array
    {
        $out = array_fill_keys($builds, []);
        foreach ($this->db->fetchAllAssociative(
            'SELECT t.revision_id, m.channels, m.questions, '.RunCounts::column('t').' counted, '.self::PLANNED.'
             JOIN method m ON m.id = t.method_id
             WHERE t.revision_id = ANY(CAST(? AS uuid[])) AND t.withdrawn_because IS NULL', ['{'.implode(',', $builds).'}'],
        ) as $row) {
            $known = RunCounts::tally($row['counted']);
            // One that was void, lost or set aside has to be made again; the rig alone is none.
            $out[Row::text($row['revision_id'])][] = $this->plan($row + ['ended' => $known->results(), 'held' => $known->held()]);
        }

        return $out;
    }

    /** @param array<string, mixed> $row of PLANNED, with how far it came and what the method reads and asks */
    private function plan(array $row): TrialPlan
    {
        $planned = $this->planned($row);
        $isAtEnd = self::isAtEnd($row, $planned);
        // What stands on the sheet now is a look, whether or not it is counted yet: the same before and after.
        $looks = Row::whole($row['looks']) + ($isAtEnd && Row::whole($row['ended']) > Row::whole($row['looked']) ? 1 : 0);

        return new TrialPlan(
            Row::text($row['id']), array_map(Row::text(...), array_column(
                [...Row::rows(Row::json($row['channels'])), ...Row::rows(Row::json($row['questions']))], 'metric',
            )),
            Row::whole($row['ended']), $planned, $isAtEnd, $looks,
        );
    }

    /**
     * How many runs had ended when the answers of the trials of builds were opened last.
     *
     * @param list<string> $builds
     *
     * @return array<string, int> by trial
     */
    public function looked(array $builds): array
    {
        return array_map(Row::whole(...), $this->db->fetchAllKeyValue(
            'SELECT id, looked FROM trial WHERE revision_id = ANY(CAST(? AS uuid[])) AND withdrawn_because IS NULL',
            ['{'.implode(',', $builds).'}'],
        ));
    }

    /**
     * How many runs are planned. Until a mean is known to a half-width, that is told by the first stage; nought: it has ended and
     * does not tell yet.
     *
     * @param array<string, mixed> $row of PLANNED, with how far it came
     */
    private function planned(array $row): int
    {
        $first = Row::whole($row['planned_runs']);
        if ($row['until_width'] === '') {
            return $first;
        }
        $half = Quantity::typed(Row::text($row['until_width']));
        $total = Row::whole($row['ended']) < $first ? null : FirstStage::total(
            $this->runs->ofTrial(Row::text($row['id'])), Row::text($row['until_channel']), $half->value * $half->unit->factor, $first,
            Row::number($row['confidence']),
        );

        return $total ?? (Row::whole($row['ended']) < $first ? $first : 0);
    }

    /** @param array<string, mixed> $row of PLANNED, with how far it came */
    private static function isAtEnd(array $row, int $planned): bool
    {
        return TrialPlan::isAtEnd(
            Row::whole($row['ended']), Row::whole($row['held']), $planned, $row['state'] === 'done',
            $row['repeats'] === 'untilItHolds',
        );
    }

    /** @return list<Wanted> in their order */
    public function wanted(Device $device): array
    {
        $out = [];
        foreach ($this->db->iterateAssociative(
            'SELECT r.id, statement, metric_id, unit, limit_value, direction, kind, coverage, must, conditions, depends_on, enough, methods, source, members, by_module_id,
                m.name metric_name, CASE WHEN m.scale = \'ordered\' THEN m.words END words
             FROM requirement r JOIN metric m ON m.id = r.metric_id
             WHERE r.device_id = ? AND r.withdrawn_because IS NULL ORDER BY place, r.created_at, r.id', [$device->id],
        ) as $row) {
            $kind = Kind::from(Row::text($row['kind']));
            $unit = Row::text($row['unit']);
            $limit = Row::number($row['limit_value']);
            $words = Row::texts(Row::json($row['words'] ?? '[]'));
            $rule = Rule::of(
                $kind, Direction::from(Row::text($row['direction'])), $kind === Kind::Rate && $unit === '%' ? $limit / 100 : $limit,
                $device->confidence, Row::number($row['coverage']), Row::texts(Row::json($row['conditions'])),
                // Words have no distances that a normal bound could rest on.
                $words !== [],
            );
            $out[] = new Wanted(
                Row::text($row['id']), Row::text($row['statement']), Row::text($row['metric_id']), $unit, $limit, $rule,
                Row::texts(Row::json($row['depends_on'])), (bool) $row['must'],
                Row::texts(Row::json($row['enough'])), Row::texts(Row::json($row['methods'])), match (Row::text($row['source'])) {
                    'parameter' => 'parameter',
                    'cost' => 'cost',
                    'mass' => 'mass',
                    default => 'runs',
                }, Row::text($row['metric_name']), Members::from(Row::text($row['members'])), Row::text($row['by_module_id']), $words,
            );
        }

        return $out;
    }
}
