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
        $runs = $this->facts->runs($device->id()->toRfc4122(), self::named($findings, 'run'));
        $failures = $this->facts->failures($device->id()->toRfc4122(), self::named($findings, 'failure'));
        $rows = array_map(static fn (AssumptionView $view): AssumptionRow => self::row($view, $runs, $failures), $views);
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
     * @param array<string, array{id: string, trial: string, number: int, letter: string}> $runs     by identifier
     * @param array<string, array{mode: string, place: string, letter: string}>            $failures by identifier
     */
    private static function row(AssumptionView $view, array $runs, array $failures): AssumptionRow
    {
        // What was withdrawn speaks for nothing.
        $stands = static fn (?string $id, array $known): bool => $id === null || isset($known[$id]);
        $counting = array_values(array_filter(
            $view->findings, static fn (AssumptionFinding $f): bool => $stands($f->run, $runs) && $stands($f->failure, $failures),
        ));
        $standing = Belief::of(array_map(static fn (AssumptionFinding $f): Weight => $f->says, $counting));

        return new AssumptionRow($view, $standing, BriefWords::belief($standing), array_map(
            static fn (AssumptionFinding $f): Because => self::because(
                $f, $runs[$f->run ?? ''] ?? null, $failures[$f->failure ?? ''] ?? null,
            ),
            $counting,
        ));
    }

    /**
     * @param array{id: string, trial: string, number: int, letter: string}|null $run
     * @param array{mode: string, place: string, letter: string}|null            $failure
     */
    private static function because(AssumptionFinding $finding, ?array $run, ?array $failure): Because
    {
        $said = array_filter([
            $run === null ? '' : BriefWords::run($run['trial'], $run['number'], $run['letter']),
            $failure === null ? '' : FailureWords::choice($failure['mode'], $failure['place'], $failure['letter']), $finding->note,
        ]);

        return new Because(
            BriefWords::finding($finding->says, implode('; ', $said)), $run['id'] ?? null, $run['letter'] ?? $failure['letter'] ?? '',
        );
    }
}
