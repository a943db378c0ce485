<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Methods;

use Lustrum\Core\Run\Channel;
use Lustrum\Core\Run\Question;
use Lustrum\Core\Wording\Messages;
use Lustrum\Core\Wording\MethodSheetWords;
use Lustrum\Core\Wording\MethodWords;
use Lustrum\Domain\Device\Device;
use Lustrum\Domain\Method\Instrument;
use Lustrum\Domain\Method\Method;
use Lustrum\Facts\BriefFacts;
use Lustrum\Facts\MethodFacts;
use Lustrum\Record\Records;
use Symfony\Component\Clock\ClockInterface;

/** Works out the library of methods and instruments. */
final readonly class MethodsSheets
{
    public function __construct(
        private Records $records,
        private MethodFacts $facts,
        private BriefFacts $brief,
        private Fitting $fitting,
        private ClockInterface $clock,
    ) {
    }

    public function of(Device $device): MethodsSheet
    {
        [$id, $workspace] = [$device->id()->toRfc4122(), $device->workspace()];
        $methods = $this->records->all(Method::class, ['device' => $device]);
        $instruments = $this->fitting->instruments($workspace);
        [$runs, $steps] = [$this->facts->runs($id), $this->brief->steps($id)];
        $rows = array_map(
            static fn (Method $m): MethodRow => self::row($m, $runs[$m->id()->toRfc4122()] ?? 0, $steps, $instruments, $device), $methods,
        );
        $shelf = $this->shelf($instruments, $this->facts->reading($workspace->id()->toRfc4122()));
        $unsafe = count(array_filter($methods, static fn (Method $m): bool => trim($m->safety()->abort) === ''));
        $unfit = count(array_filter($rows, static fn (MethodRow $r): bool => $r->unfit !== []));

        return new MethodsSheet(
            MethodSheetWords::library(count($methods), $unsafe, $unfit, count(array_filter(
                $shelf, static fn (InstrumentRow $r): bool => $r->isDue,
            ))),
            $rows, array_map(
                static fn (array $m): ElsewhereRow => new ElsewhereRow($m['id'], $m['name'], $m['purpose'], $m['device']),
                $this->facts->elsewhere($workspace->id()->toRfc4122(), $id),
            ), $shelf, $workspace->id()->toRfc4122(),
        );
    }

    /**
     * @param array<string, string> $steps       names by identifier
     * @param list<Instrument>      $instruments
     */
    private static function row(Method $m, int $runs, array $steps, array $instruments, Device $device): MethodRow
    {
        $view = $m->view();
        $reads = [
            ...array_map(static fn (Channel $c): string => $device->metricName($c->metric), $m->channels()),
            ...array_map(static fn (Question $q): string => $device->metricName($q->metric), $m->questions()),
        ];
        $isBlank = trim($m->safety()->abort) === '';

        return new MethodRow(
            $view->id, $view->name, $view->purpose, MethodWords::aside($view->rig, $view->edition, $view->minutes, $runs),
            Messages::list($reads), implode(', ', array_intersect_key($steps, array_flip($view->steps))),
            Messages::begin(Messages::list($m->safety()->hazards)),
            $isBlank ? MethodWords::cannotStart() : '', Fitting::ofMethod($m, $instruments),
        );
    }

    /** A day as people say it. */
    private static function day(string $iso): string
    {
        return $iso === '' ? '' : (new \DateTimeImmutable($iso))->format('D j M Y');
    }

    /**
     * @param list<Instrument>            $instruments
     * @param array<string, list<string>> $reading     methods by the instrument that they name, in small letters
     *
     * @return list<InstrumentRow>
     */
    private function shelf(array $instruments, array $reading): array
    {
        $today = $this->clock->now()->format('Y-m-d');

        return array_map(static function (Instrument $i) use ($reading, $today): InstrumentRow {
            $view = $i->view();
            $readBy = [];
            foreach ([$view->name, ...$view->formerly] as $name) {
                $readBy = [...$readBy, ...($reading[mb_strtolower($name)] ?? [])];
            }

            [$due, $isDue] = [$i->due(), $i->due() !== null && $i->due() < $today];

            return new InstrumentRow(
                $view, MethodSheetWords::instrument($view->unit, $view->resolution, $view->low, $view->high, $view->lag, $view->rate),
                MethodSheetWords::checked(self::day($view->checkedOn), $due === null ? null : self::day($due), $isDue), $isDue,
                array_values(array_unique($readBy)),
            );
        }, $instruments);
    }
}
