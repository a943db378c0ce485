<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Build;

use Lustrum\Core\Judging\Answering;
use Lustrum\Core\Judging\Build;
use Lustrum\Core\Judging\ChangeSeen;
use Lustrum\Core\Judging\FailureFact;
use Lustrum\Core\Judging\Mode;
use Lustrum\Core\Judging\ModeSeen;
use Lustrum\Core\Wording\ChangeWords;
use Lustrum\Domain\Change\Change;
use Lustrum\Domain\Change\ChangeView;
use Lustrum\Domain\Finding\Failure;
use Lustrum\Facts\Book;
use Lustrum\Record\Records;

/** The changes of a build with what was expected and what came of them. */
final readonly class ChangeRows
{
    public function __construct(
        private Records $records,
    ) {
    }

    /** @return list<ChangeRow> one for each effect that is expected of a change */
    public function of(Build $build, Book $book): array
    {
        $views = [];
        foreach ($this->records->all(Change::class, ['revision' => $build->id]) as $change) {
            $view = $change->view();
            $views[$view->id] = $view;
        }
        $modes = $this->modes(array_values($views));
        $rows = [];
        $all = $book->changesSeen($build);
        $last = array_flip(array_map(static fn (ChangeSeen $s): string => $s->change->id, $all));
        $parent = $book->lineage()->parent($build)->letter ?? '';
        foreach ($all as $i => $seen) {
            $view = $views[$seen->change->id] ?? null;
            if ($view === null) {
                continue;
            }
            if ($view->against === [] || $seen->expected !== null) {
                $rows[] = self::row($view, $seen, $book->metric($seen->expected->metric ?? ''), $parent, array_values(array_unique(array_map(
                    static fn (string $id): string => $modes[$id] ?? '', $view->against,
                ))));
            }
            // What is expected of a metric and of a failure has a verdict on each.
            if ($view->against !== [] && $last[$view->id] === $i) {
                array_push($rows, ...$this->ofModes($view, $seen, $build, $book, $modes));
            }
        }

        return $rows;
    }

    /**
     * A change that is meant to end failures: how often their modes showed before and after.
     *
     * @param array<string, string> $names of modes, by failure
     *
     * @return list<ChangeRow>
     */
    private function ofModes(ChangeView $view, ChangeSeen $seen, Build $build, Book $book, array $names): array
    {
        $against = array_values(array_unique(array_map(static fn (string $id): string => $names[$id] ?? '', $view->against)));
        $known = [];
        foreach ($book->standings($build)->modes as $mode) {
            $known[FailureFact::keyOf($mode->mode)] = $mode;
        }
        $rows = [];
        foreach ($against as $name) {
            $mode = $known[FailureFact::keyOf($name)] ?? null;
            if ($mode !== null) {
                $parent = $book->lineage()->parent($build);
                $found = ModeSeen::of($mode, $build, $parent, $book->termsOf($mode->metrics, ...array_filter([$build, $parent])));
                $rows[] = new ChangeRow(
                    $view, '', ChangeWords::noLonger($found), null, $found->verdict,
                    ChangeWords::ofMode($found, $together = self::answering($mode, $view, $build, $names)),
                    ChangeWords::howOfMode(), '', 0, $together, [$name],
                );
            }
        }

        return $rows === [] && $seen->expected === null ? [self::row($view, $seen, '', '', $against)] : $rows;
    }

    /**
     * @param array<string, string> $names of modes, by failure
     *
     * @return list<string> other changes of the build that answer the same mode
     */
    private static function answering(Mode $mode, ChangeView $view, Build $build, array $names): array
    {
        $together = Answering::together(array_column($build->changes, 'against', 'id'), $names);
        $others = array_diff($together[FailureFact::keyOf($mode->mode)]['by'] ?? [], [$view->id]);

        return array_values(array_intersect_key(array_column($build->changes, 'what', 'id'), array_flip($others)));
    }

    /** @param list<string> $against modes of failure */
    private static function row(ChangeView $view, ChangeSeen $seen, string $metric, string $parent, array $against): ChangeRow
    {
        return new ChangeRow(
            $view, $metric, ChangeWords::expected($seen->expected, $metric), ChangeWords::seen($seen), $seen->verdict,
            ChangeWords::sentence($seen, $metric, $view->verdict !== null), ChangeWords::how($seen, $parent),
            $seen->expected->metric ?? '', $seen->n + $seen->nBefore, $seen->together, $against,
        );
    }

    /**
     * @param list<ChangeView> $views
     *
     * @return array<string, string> modes of failures, by identifier
     */
    private function modes(array $views): array
    {
        $ids = array_values(array_unique(array_merge(...array_map(static fn (ChangeView $v): array => $v->against, $views))));
        $modes = [];
        foreach ($ids === [] ? [] : $this->records->all(Failure::class, ['id' => $ids]) as $failure) {
            $modes[$failure->id()->toRfc4122()] = $failure->mode();
        }

        return $modes;
    }
}
