<?php

declare(strict_types=1);

namespace Lustrum\Action\Read;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Core\CoreException;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Run\Row;
use Lustrum\Core\Wording\ReadingWords;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Domain\Trial\Reading;
use Lustrum\Domain\Trial\Said;
use Lustrum\Domain\Trial\TogetherInput;
use Lustrum\Record\Records;
use Lustrum\Record\RecordWriter;
use Lustrum\Shared\Measure;
use Lustrum\Shared\Refusal\Invalid;
use Symfony\Component\Uid\Uuid;

/** Amends several readings in the same way: they were read in another unit, or all were off by as much. All of them, or none. */
final readonly class AmendTogether
{
    private const MOST = 500;

    public function __construct(
        private Connection $db,
        private EntityManagerInterface $em,
        private Records $records,
        private RecordWriter $writer,
    ) {
    }

    /** @throws Invalid at the field that is wrong, or where one of them would not be what its channel measures */
    public function amend(Revision $revision, TogetherInput $input): Together
    {
        if (($input->unit === '') === ($input->add === '')) {
            throw Invalid::at('unit', 'Say either the unit that they were read in, or how much they were off by.');
        }
        if (!$input->isTry && trim($input->reason) === '') {
            throw Invalid::at('reason', 'Say why: the first values stay beside the new ones.');
        }
        $rows = [];
        foreach ($this->chosen($revision, $input) as $reading) {
            $rows[] = new TogetherRow(
                $reading->id()->toRfc4122(), $reading->run()->trial()->name(), $reading->run()->number(), $reading->metric(),
                $reading->asked()->instrument, $reading->run()->startedAt()->format('Y-m-d'), $reading->view()->current->text,
                Measure::of(self::becomes($reading, $input)->quantity)->view()->text,
            );
        }
        if (!$input->isTry) {
            $this->em->wrapInTransaction(fn () => $this->all($rows, $input));
        }

        return new Together(ReadingWords::together(count($rows), $input->isTry), $rows);
    }

    /** @param list<TogetherRow> $rows */
    private function all(array $rows, TogetherInput $input): void
    {
        foreach ($rows as $row) {
            $reading = $this->records->named(Reading::class, $row->id, 'only');
            $this->writer->amend(
                Reading::class, $reading->id(), $reading->version(),
                static fn (Reading $r, string $by) => $r->amend(self::becomes($r, $input), $input->reason, $by),
            );
        }
    }

    private static function becomes(Reading $reading, TogetherInput $input): Said
    {
        $now = $reading->current();
        try {
            $new = $input->unit !== ''
                ? Quantity::of($now->value, $input->unit, $now->resolution)
                : Quantity::of($now->value + Quantity::typedBeside($input->add, $now->unit)->differenceTo($now->unit), $now->unit, $now->resolution);
            $new->to($reading->asked()->unit);
        } catch (CoreException $e) {
            throw Invalid::at($input->unit !== '' ? 'unit' : 'add', $e->getMessage());
        }

        return new Said($new);
    }

    /**
     * @return list<Reading> in the order of their runs
     *
     * @throws Invalid where there are none, or too many
     */
    private function chosen(Revision $revision, TogetherInput $input): array
    {
        $where = ['t.revision_id = :build', 'g.withdrawn_because IS NULL', 'r.withdrawn_because IS NULL'];
        $with = ['build' => $revision->id()->toRfc4122()];
        foreach (['channel' => 'g.channel = :channel', 'day' => 'to_char(r.started_at, \'YYYY-MM-DD\') = :day'] as $field => $sql) {
            if ($input->{$field} !== '') {
                $where[] = $sql;
                $with[$field] = $input->{$field};
            }
        }
        if ($input->trial !== '') {
            $where[] = 't.id = :trial';
            $with['trial'] = Uuid::isValid($input->trial) ? $input->trial : throw Invalid::at('trial', 'There is no such trial.');
        }
        $ids = array_map(Row::text(...), $this->db->fetchFirstColumn(
            'SELECT g.id FROM reading g JOIN run r ON r.id = g.run_id JOIN trial t ON t.id = r.trial_id WHERE '.implode(' AND ', $where)
            .' ORDER BY r.started_at, r.number, g.channel LIMIT '.(self::MOST + 1), $with,
        ));
        $ids = $input->only === [] ? $ids : array_values(array_intersect($ids, $input->only));
        if (count($ids) > self::MOST) {
            throw Invalid::at('channel', sprintf('At most %d readings at once: narrow them by trial or day.', self::MOST));
        }
        $readings = array_map(fn (string $id): Reading => $this->records->named(Reading::class, $id, 'only'), $ids);
        $readings = array_values(array_filter(
            $readings, static fn (Reading $r): bool => $input->instrument === '' || $r->asked()->instrument === $input->instrument,
        ));

        return $readings === [] ? throw Invalid::at('channel', 'There is no reading like that.') : $readings;
    }
}
