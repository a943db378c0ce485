<?php

declare(strict_types=1);

use Lustrum\Core\Alike\AlikeRuns;
use Lustrum\Core\Alike\CompareSides;
use Lustrum\Core\Alike\CompareWithin;
use Lustrum\Core\Alike\WithinVerdict;
use Lustrum\Core\Change\ChangeVerdict;
use Lustrum\Core\Evidence\Kind;
use Lustrum\Core\Evidence\State;
use Lustrum\Core\Evidence\ValueScale;
use Lustrum\Core\Failure\Closing;
use Lustrum\Core\Failure\ClosingEvent;
use Lustrum\Core\Failure\ClosingState;
use Lustrum\Core\Reliability\Lives;
use Lustrum\Core\Reliability\LogRank;
use Lustrum\Core\Reliability\Weibull;
use Lustrum\Core\Run\Severity;
use Lustrum\Core\Statistics\Holm;
use Lustrum\Core\Statistics\Repeats;

/*
 * The first page: what was asked of each kind of sentence, at the sizes that makers have. For false rates the truth lies exactly at
 * the limit; of what a sentence speaks is what its truth is of.
 */
$spreads = [0.0, 0.5, 1.0, 2.0];
// Built alike, whatever the articles: a number for each article and cell.
$inPart = static function (Chance $c, float $spread): array {
    $runs = [];
    foreach (['a' => [['x', 'y'], ['y', 'z']], 'b' => [['x', 'y'], ['x', 'y', 'z'], ['y', 'z'], ['x', 'z']]] as $side => $articles) {
        foreach ($articles as $i => $cells) {
            $own = $c->normal(0.0, $spread);
            foreach ($cells as $cell) {
                $runs[] = AlikeRuns::one($side, $cell, $own + $c->normal(), null, $side.$i);
            }
        }
    }

    return $runs;
};
$exposed = static fn (Chance $c, int $n): Lives => Lives::of(
    array_map(static fn (): float => $c->weibull(1.5, 100.0), range(1, $n)), array_fill(0, $n, true),
);

return [
    new Row('A mean is shown, 3 articles × 3 runs', 5.5, null, static fn (Chance $c, float $s): bool => State::Shown
        === Bench::state(Kind::Mean, 0.0, Bench::articles($c, 3, 3, $s)), $spreads),
    new Row('A mean of counts is shown, 3 runs, mean 0.3', 5.0, null, static fn (Chance $c): bool => State::Shown
        === Bench::state(Kind::Mean, 0.3, Bench::values(array_map(static fn (): float => (float) $c->poisson(0.3), range(1, 3))), Bench::measure(
            ValueScale::Count,
        ), true)),
    new Row('Every article (0.9) is shown, skewed values, 8', 5.5, null, static fn (Chance $c): bool => State::Shown
        === Bench::state(Kind::Every, exp(-0.5 * 1.2815516), Bench::values(array_map(exp(...), $c->normals(8, 0.0, 0.5))), Bench::measure(
            ValueScale::Ratio,
        ))),
    new Row('A difference is told over articles in part of the cells', 5.5, null, static fn (Chance $c, float $s): bool => Bench::isTold(
        CompareWithin::of($inPart($c, $s), Bench::CONFIDENCE),
    ), $spreads),
    new Row('One of three that are alike is told, one of four spreads four times as far', 5.5, null, static function (Chance $c): bool {
        $runs = [];
        foreach (['p' => 1.0, 'q' => 1.0, 'r' => 4.0, 's' => 1.0] as $side => $sd) {
            $runs[] = new AlikeRuns($side, 'c', $c->normals(4, $side === 's' ? 6.0 : 0.0, $sd));
        }
        foreach (CompareSides::of($runs, Bench::CONFIDENCE)->pairs as $pair) {
            if ($pair->told && $pair->a !== 's' && $pair->b !== 's') {
                return true;
            }
        }

        return false;
    }),
    new Row('Three rounded values without spread are shown', 1.0, null, static function (Chance $c): bool {
        $limit = $c->between(-0.5, 0.5);
        $values = array_map(static fn (float $v): float => round($v), $c->normals(3, $limit, 0.3));

        return count(array_unique($values)) === 1 && Bench::state(Kind::Mean, $limit, Bench::values($values), Bench::measure(
            repeats: new Repeats([], 1.0),
        )) === State::Shown;
    }),
    new Row('A fix that does nothing closes at first go, failed 1 of 1, p = 0.3', 17.0, null, static function (Chance $c): bool {
        $closing = new Closing(Severity::number(1.0), 1, 1, Bench::CONFIDENCE);
        for ($i = 0; $i < 60; ++$i) {
            if ($c->isSo(0.3)) {
                return false;
            }
            $closing->take(new ClosingEvent((string) $i, true, Severity::number(1.0), 'B', []));
            if ($closing->state() === ClosingState::Closed) {
                return true;
            }
        }

        return false;
    }),
    new Row('Lives are told apart, 3 against 3', 5.0, null, static fn (Chance $c): bool => LogRank::of([
        $exposed($c, 3), $exposed($c, 3),
    ])->p < 1 - Bench::CONFIDENCE),
    new Row('One in ten ends before (Weibull), 3 events: the interval covers', null, 93.0, static function (Chance $c) use ($exposed): bool {
        $life = Weibull::of($exposed($c, 3), 10, Bench::CONFIDENCE)->life;
        $true = 100.0 * (-log(0.9)) ** (1 / 1.5);

        return $life->low <= $true && $true <= $life->high;
    }),
    new Row('A must is named as worse, of ten that are alike, 3 runs a side', 5.0, null, static function (Chance $c): bool {
        $found = array_map(static fn (): CompareWithin => Bench::compare($c->normals(3), $c->normals(3)), range(1, 10));
        $p = Holm::adjust(array_map(static fn (CompareWithin $f): float => $f->p ?? 1.0, $found));
        foreach ($found as $i => $one) {
            if ($one->verdict === WithinVerdict::Lower && $p[$i] < 1 - Bench::CONFIDENCE) {
                return true;
            }
        }

        return false;
    }),
    new Row('Told with 2 runs a side by a known spread, nothing there', 5.5, null, static fn (Chance $c): bool => Bench::isTold(
        Bench::compare($c->normals(2), $c->normals(2), Bench::repeats($c)),
    )),
    new Row('Told with 2 runs a side by a known spread, two spreads apart', null, 35.0, static fn (Chance $c): bool => Bench::isTold(
        Bench::compare($c->normals(2), $c->normals(2, 2.0), Bench::repeats($c)),
    )),
    new Row('Told with 1 run a side by a known spread, nothing there', 6.0, null, static fn (Chance $c): bool => Bench::isTold(
        Bench::compare($c->normals(1), $c->normals(1), Bench::repeats($c)),
    )),
    new Row('Told with 1 run a side by a known spread, four spreads apart', null, 45.0, static fn (Chance $c): bool => Bench::isTold(
        Bench::compare($c->normals(1), $c->normals(1, 4.0), Bench::repeats($c)),
    )),
    new Row('Unchanged within two spreads, 3 runs a side, it has not moved', null, 30.0, static fn (Chance $c): bool => ChangeVerdict::Fixed
        === Judged::staying($c, 3, 0.0, 2.0)),
    new Row('Unchanged within two spreads, 3 runs a side, it moved by two', 5.0, null, static fn (Chance $c): bool => ChangeVerdict::Fixed
        === Judged::staying($c, 3, 2.0, 2.0)),
];
