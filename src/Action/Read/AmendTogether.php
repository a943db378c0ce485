<?php

declare(strict_types=1);

namespace Lustrum\Action\Read;

use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Core\CoreException;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Wording\ReadingWords;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Domain\Trial\Reading;
use Lustrum\Domain\Trial\Said;
use Lustrum\Domain\Trial\TogetherInput;
use Lustrum\Record\RecordWriter;
use Lustrum\Shared\Measure;
use Lustrum\Shared\Refusal\Invalid;
use Symfony\Component\Uid\Uuid;

/** Amends several readings in the same way: they were read in another unit, or all were off by as much. All of them, or none. */
final readonly class AmendTogether
{
    private const MOST = 500;

    public function __construct(
        private EntityManagerInterface $em,
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
        $readings = $this->chosen($revision, $input);
        foreach ($readings as $reading) {
            $rows[] = new TogetherRow(
                $reading->id()->toRfc4122(), $reading->run()->trial()->name(), $reading->run()->number(), $reading->metric(),
                $reading->asked()->instrument, $reading->run()->startedAt()->format('Y-m-d'), $reading->view()->current->text,
                Measure::of(self::becomes($reading, $input)->quantity)->view()->text,
            );
        }
        if (!$input->isTry) {
            $this->em->wrapInTransaction(fn () => $this->all($readings, $input));
        }

        return new Together(ReadingWords::together(count($rows), $input->isTry), $rows);
    }

    /** @param list<Reading> $readings */
    private function all(array $readings, TogetherInput $input): void
    {
        foreach ($readings as $reading) {
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
                : Quantity::of(
                    $now->value + Quantity::typedBeside($input->add, $now->unit)->differenceTo($now->unit), $now->unit,
                    $now->resolution,
                );
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
        $query = $this->em->createQueryBuilder()->select('g', 'r', 't', 'm')->from(Reading::class, 'g')
            ->join('g.run', 'r')->join('r.trial', 't')->join('g.metric', 'm')
            ->where('t.revision = :build')->andWhere('g.withdrawnBecause IS NULL')->andWhere('r.withdrawnBecause IS NULL')
            ->setParameter('build', $revision->id(), 'uuid')
            ->orderBy('r.startedAt')->addOrderBy('r.number')->addOrderBy('g.channel')->setMaxResults(self::MOST + 1);
        if ($input->channel !== '') {
            $query->andWhere('g.channel = :channel')->setParameter('channel', $input->channel);
        }
        if ($input->trial !== '') {
            $trial = Uuid::isValid($input->trial) ? Uuid::fromString($input->trial) : throw Invalid::at('trial', 'There is no such trial.');
            $query->andWhere('t.id = :trial')->setParameter('trial', $trial, 'uuid');
        }
        if ($input->day !== '') {
            $day = \DateTimeImmutable::createFromFormat('!Y-m-d', $input->day)
                ?: throw Invalid::at('day', 'A day is written as 2026-03-02.');
            $query->andWhere('r.startedAt >= :from AND r.startedAt < :to')
                ->setParameter('from', $day)->setParameter('to', $day->modify('+1 day'));
        }
        /** @var list<Reading> $all */
        $all = $query->getQuery()->getResult();
        $readings = $input->only === [] ? $all : array_values(array_filter(
            $all, static fn (Reading $r): bool => in_array($r->id()->toRfc4122(), $input->only, true),
        ));
        if (count($readings) > self::MOST) {
            throw Invalid::at('channel', sprintf('At most %d readings at once: narrow them by trial or day.', self::MOST));
        }
        $readings = array_values(array_filter(
            $readings, static fn (Reading $r): bool => $input->instrument === '' || $r->asked()->instrument === $input->instrument,
        ));

        return $readings === [] ? throw Invalid::at('channel', 'There is no reading like that.') : $readings;
    }
}
