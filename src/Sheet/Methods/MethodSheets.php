<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Methods;

use Lustrum\Core\Check\Known;
use Lustrum\Core\Judging\MethodSpread;
use Lustrum\Core\Run\Amount;
use Lustrum\Core\Run\Channel;
use Lustrum\Core\Run\Condition;
use Lustrum\Core\Run\Factor;
use Lustrum\Core\Run\MethodChange;
use Lustrum\Core\Run\Question;
use Lustrum\Core\Run\SettingRule;
use Lustrum\Core\Wording\CheckWords;
use Lustrum\Core\Wording\MethodSheetWords;
use Lustrum\Core\Wording\MethodWords;
use Lustrum\Core\Wording\SpreadWords;
use Lustrum\Domain\Device\UseCase;
use Lustrum\Domain\Finding\Observation;
use Lustrum\Domain\Finding\ObservationView;
use Lustrum\Domain\Method\Instrument;
use Lustrum\Domain\Method\Method;
use Lustrum\Domain\Method\QuestionView;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Facts\Book;
use Lustrum\Facts\Books;
use Lustrum\Facts\BriefFacts;
use Lustrum\Facts\DeviceFacts;
use Lustrum\Facts\MethodEdition;
use Lustrum\Facts\MethodFacts;
use Lustrum\Record\Records;
use Lustrum\Sheet\Choice\Pick;

/** Works out the sheet of one method. */
final readonly class MethodSheets
{
    public function __construct(
        private Records $records,
        private MethodFacts $facts,
        private DeviceFacts $devices,
        private BriefFacts $brief,
        private Fitting $fitting,
        private Tying $tying,
        private Books $books,
    ) {
    }

    public function of(Method $method): MethodSheet
    {
        $device = $method->device();
        $id = $device->id()->toRfc4122();
        $instruments = $this->fitting->instruments($method->workspace());
        $runs = $this->facts->editions($method->id()->toRfc4122());
        $metrics = array_values($this->devices->metrics($id));
        sort($metrics);
        $steps = $this->brief->steps($id);
        $uses = $this->records->all(UseCase::class, ['device' => $device]);
        $others = array_filter($this->records->all(Method::class, ['device' => $device]), static fn (Method $m): bool => $m !== $method);

        return new MethodSheet(
            implode(' ', array_filter([
                MethodSheetWords::sentence(
                    $method->name(), array_sum($runs), $method->edition(), self::gaps($method), trim($method->safety()->abort) === '',
                ),
                // What most bears on its numbers; the rest stands at its line.
                Fitting::ofMethod($method, $instruments)[0] ?? Rehearsed::by($method),
            ])),
            $method->view(), array_sum($runs), $this->sections($method, $instruments), MethodSheetWords::takes($method->minutes()),
            MethodWords::mind(
                $method->safety()->hazards, $method->safety()->cautions, $method->safety()->abort,
                $method->safety()->needsSignOff,
            ),
            Rehearsed::by($method), $this->editions($method, $runs), $metrics,
            array_map(static fn (Instrument $i): string => $i->name(), $instruments),
            array_values(array_map(static fn (Method $m): string => $m->name(), $others)),
            array_map(static fn (string $step, string $name): Pick => new Pick($step, $name), array_keys($steps), $steps),
            array_map(static fn (UseCase $u): Pick => new Pick($u->id()->toRfc4122(), $u->name()), $uses),
            array_map(static fn (string $what): Pick => new Pick($what, CheckWords::spoken($what)), array_keys(Known::UNITS)),
            $this->remarks($method),
            (array_slice($this->records->all(Revision::class, ['device' => $device]), -1)[0] ?? null)?->id()->toRfc4122(),
        );
    }

    /** @return list<ObservationView> what is not settled first, and of that the newest */
    private function remarks(Method $method): array
    {
        $all = array_map(
            static fn (Observation $o): ObservationView => $o->view(),
            array_reverse($this->records->all(Observation::class, ['method' => $method])),
        );
        usort($all, static fn (ObservationView $a, ObservationView $b): int => ($a->explained !== '') <=> ($b->explained !== ''));

        return $all;
    }

    /** @return list<string> what it does not say, in words */
    private static function gaps(Method $method): array
    {
        $view = $method->view();

        return array_map(MethodSheetWords::gap(...), array_keys(array_filter([
            'reads' => $view->channels === [] && $view->questions === [], 'ends' => trim($view->endPoint) === '',
            'held' => $view->questions !== [] && trim($view->heldWhen) === '' && array_filter(
                $view->questions, static fn (QuestionView $q): bool => trim($q->text) !== '',
            ) === [],
            'rig' => $view->rig === '', 'use' => $method->useCase() !== null && $method->useCase()->loads() !== [] && $view->carries === [],
        ])));
    }

    /**
     * @param list<Instrument> $instruments
     *
     * @return list<MethodSection>
     */
    private function sections(Method $m, array $instruments): array
    {
        $lines = $this->lines($m, $instruments);

        return array_map(static fn (string $field, array $of): MethodSection => new MethodSection($field, $of), array_keys($lines), $lines);
    }

    /**
     * @param list<Instrument> $instruments
     *
     * @return array<string, list<MethodLine>>
     */
    private function lines(Method $m, array $instruments): array
    {
        $name = $m->device()->metricName(...);
        $book = $this->books->open($m->device());
        $view = $m->view();
        $said = static fn (callable $say, array $rows): array => array_values(array_map(
            static fn ($row): MethodLine => new MethodLine($say($row)), $rows,
        ));

        return [
            'channels' => array_map(static fn (Channel $c): MethodLine => new MethodLine(
                MethodWords::channel($name($c->metric), $c->unit, $c->formula, $c->instrument, $c->resolution, $c->low, $c->high),
                array_values(array_filter([
                    self::calibrated($c), MethodWords::tared($c), Fitting::against($c, $instruments), ...self::spread($m, $c, $book),
                ])),
            ), $m->channels()),
            'constants' => $said(MethodSheetWords::constant(...), $m->constants()),
            'questions' => array_map(
                static fn (Question $q): MethodLine => new MethodLine(MethodWords::question($name($q->metric), $q->text)),
                $m->questions(),
            ),
            'factors' => array_map(static fn (Factor $f): MethodLine => new MethodLine(
                MethodWords::factor($f), $f->climbs ? [MethodSheetWords::climbs($f->name)] : [],
            ), $m->factors()),
            'conditions' => array_map(static fn (Condition $c): MethodLine => new MethodLine(MethodWords::condition($c)), $m->conditions()),
            'settings' => array_map(static fn (SettingRule $s): MethodLine => new MethodLine(MethodWords::setting($s)), $m->settings()),
            'before' => $said(MethodSheetWords::before(...), $m->before()),
            'ready' => $said(MethodSheetWords::wait(...), $view->ready), 'looks' => $said(MethodSheetWords::look(...), $view->looks),
            'usesUp' => $said(MethodSheetWords::usedUp(...), $view->usesUp),
            'carries' => $said(static fn (Amount $a): string => $a->what.' '.$a->text, $view->carries),
        ];
    }

    /** @return list<string> how far repeats spread, and what the difference that is looked for takes by that */
    private static function spread(Method $m, Channel $c, Book $book): array
    {
        $now = $book->repeats($m->name(), $m->edition(), $c->metric, $m->rig());

        return [
            SpreadWords::course($now, $book->repeats($m->name(), null, $c->metric), $c->unit),
            Tying::takes($c, MethodSpread::together($now, MethodSpread::TO_PLAN), $book->device->confidence),
        ];
    }

    private static function calibrated(Channel $c): string
    {
        $line = $c->calibrated();

        return $line === null ? '' : MethodSheetWords::calibration($line, count($c->calibration), $c->unit);
    }

    /**
     * @param array<int, int> $runs by edition
     *
     * @return list<EditionRow>
     */
    private function editions(Method $method, array $runs): array
    {
        $became = $this->facts->became($method->id()->toRfc4122());
        $ties = array_filter($became, static fn (MethodEdition $e): bool => $e->isNew && ($runs[$e->edition - 1] ?? 0) > 0);
        [$least, $shift] = $ties === [] ? [MethodSheetWords::TYING, ''] : $this->tying->of($method);

        return array_map(static fn (MethodEdition $e): EditionRow => new EditionRow(
            $e->edition, $e->at, $e->by, array_map(static fn (MethodChange $c): string => MethodSheetWords::change($c), $e->changes),
            $e->isNew && ($runs[$e->edition - 1] ?? 0) > 0
                ? MethodSheetWords::tie($e->edition, $runs[$e->edition - 1] ?? 0, $runs[$e->edition] ?? 0, $least, $shift) : '',
        ), $became);
    }
}
