<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Brief;

use Lustrum\Core\Belief\Belief;
use Lustrum\Core\Belief\Weight;
use Lustrum\Core\Wording\BriefWords;
use Lustrum\Core\Wording\FailureWords;
use Lustrum\Domain\Device\Device;
use Lustrum\Domain\Finding\Assumption;
use Lustrum\Domain\Finding\AssumptionFinding;
use Lustrum\Domain\Finding\AssumptionView;
use Lustrum\Facts\BriefFacts;
use Lustrum\Record\Records;

/** What is believed of a device, and where each of it stands. */
final readonly class Beliefs
{
    public function __construct(
        private Records $records,
        private BriefFacts $facts,
    ) {
    }

    /** @return list<AssumptionRow> those that are not settled first */
    public function of(Device $device): array
    {
        $views = array_map(
            static fn (Assumption $a): AssumptionView => $a->view(), $this->records->all(Assumption::class, ['device' => $device]),
        );
        $findings = array_merge(...array_map(static fn (AssumptionView $view): array => $view->findings, $views));
        $runs = array_map(
            static fn (array $run): string => BriefWords::run($run['trial'], $run['number'], $run['letter']),
            $this->facts->runs($device->id()->toRfc4122(), self::named($findings, 'run')),
        );
        $called = array_map(
            static fn (array $f): string => FailureWords::choice($f['mode'], $f['place'], $f['letter']),
            $this->facts->failures($device->id()->toRfc4122(), self::named($findings, 'failure')),
        );
        $rows = array_map(static fn (AssumptionView $view): AssumptionRow => self::row($view, $runs, $called), $views);
        usort($rows, static fn (AssumptionRow $a, AssumptionRow $b): int => $a->standing->isSettled() <=> $b->standing->isSettled());

        return $rows;
    }

    /**
     * @param list<AssumptionFinding> $findings
     * @param 'run'|'failure'         $what
     *
     * @return list<string> identifiers
     */
    private static function named(array $findings, string $what): array
    {
        return array_values(array_filter(array_map(
            static fn (AssumptionFinding $f): ?string => $what === 'run' ? $f->run : $f->failure, $findings,
        )));
    }

    /**
     * @param array<string, string> $runs     names by identifier
     * @param array<string, string> $failures names by identifier
     */
    private static function row(AssumptionView $view, array $runs, array $failures): AssumptionRow
    {
        $counting = array_values(array_filter(
            $view->findings,
            static fn (AssumptionFinding $f): bool => ($f->run === null || isset($runs[$f->run])) && ($f->failure === null || isset($failures[$f->failure])),
        ));
        $standing = Belief::of(array_map(static fn (AssumptionFinding $f): Weight => $f->says, $counting));

        return new AssumptionRow($view, $standing, BriefWords::belief($standing), array_map(
            static fn (AssumptionFinding $f): string => BriefWords::finding($f->says, implode('; ', array_filter([
                $runs[$f->run ?? ''] ?? '', $failures[$f->failure ?? ''] ?? '', $f->note,
            ]))), $counting,
        ));
    }
}
