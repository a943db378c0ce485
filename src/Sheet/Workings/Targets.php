<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Workings;

use Lustrum\Core\Evidence\Kind;
use Lustrum\Core\Judging\Wanted;
use Lustrum\Core\Quantity\Units;
use Lustrum\Domain\Decision\Candidate;
use Lustrum\Domain\Method\Method;
use Lustrum\Domain\Revision\Parameter;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Facts\Book;
use Lustrum\Record\Records;

/** Where answers can be put: parameters, what candidates are expected to do, quantities of fixtures. */
final readonly class Targets
{
    /**
     * @param list<array{TargetRow, string}> $all        with the unit of each
     * @param list<CandidateRow>             $candidates that are not decided
     */
    private function __construct(
        private array $all,
        public array $candidates,
    ) {
    }

    public static function of(Revision $build, Book $book, Records $records): self
    {
        $all = $candidates = [];
        foreach ($records->all(Parameter::class, ['revision' => $build]) as $parameter) {
            $view = $parameter->view();
            if ($view->words === '' && $view->formula === '') {
                $all[] = [
                    new TargetRow('parameter', $view->id, $view->name, $view->name),
                    $view->measure->unit === '' ? '1' : $view->measure->unit,
                ];
            }
        }
        $metrics = [];
        // What a sum comes to is no share of runs that hold, and nobody's rating.
        $numbers = array_filter(
            $book->wanted(), static fn (Wanted $w): bool => !in_array($w->kind(), [Kind::Rate, Kind::Check, Kind::Rating], true),
        );
        foreach ($numbers as $wanted) {
            $metrics[$book->metric($wanted->metric)] ??= $wanted->unit;
        }
        foreach ($records->all(Candidate::class, ['revision' => $build]) as $candidate) {
            $view = $candidate->view();
            if ($view->decision !== null) {
                continue;
            }
            $candidates[] = new CandidateRow($view->id, $view->what);
            foreach ($metrics as $metric => $unit) {
                $all[] = [new TargetRow('candidate', $view->id, (string) $metric, sprintf('%s: %s', $view->what, $metric)), $unit];
            }
        }
        foreach ($records->all(Method::class, ['device' => $build->device()]) as $method) {
            $view = $method->view();
            foreach ($view->constants as $constant) {
                $all[] = [new TargetRow('method', $view->id, $constant->key, sprintf('%s: %s', $view->name, $constant->name === '' ? $constant->key : $constant->name)), $constant->unit];
            }
        }

        return new self($all, $candidates);
    }

    /** @return list<TargetRow> that measure the same */
    public function fitting(string $unit): array
    {
        return array_values(array_map(
            static fn (array $one): TargetRow => $one[0],
            array_filter($this->all, static fn (array $one): bool => Units::fit($one[1], $unit)),
        ));
    }
}
