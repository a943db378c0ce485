<?php

declare(strict_types=1);

use Lustrum\Core\Alike\AlikeRuns;
use Lustrum\Core\Alike\CompareProportionsWithin;
use Lustrum\Core\Alike\CompareSides;
use Lustrum\Core\Alike\CompareWithin;
use Lustrum\Core\Alike\Scale;
use Lustrum\Core\Alike\WithinVerdict;
use Lustrum\Core\Change\ChangeVerdict;
use Lustrum\Core\CoreException;
use Lustrum\Core\Evidence\Kind;
use Lustrum\Core\Evidence\State;
use Lustrum\Core\Failure\Closing;
use Lustrum\Core\Failure\ClosingEvent;
use Lustrum\Core\Failure\ClosingState;
use Lustrum\Core\Judging\ByOrder;
use Lustrum\Core\Outcome\Result;
use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Panel\PairedComparisons;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Quantity\SlipCheck;
use Lustrum\Core\Reliability\Lives;
use Lustrum\Core\Reliability\LogRank;
use Lustrum\Core\Reliability\Weibull;
use Lustrum\Core\Run\Severity;
use Lustrum\Core\Statistics\CompareSpread;
use Lustrum\Core\Statistics\Distribution\Normal;
use Lustrum\Core\Statistics\Friedman;
use Lustrum\Core\Statistics\Repeats;
use Lustrum\Core\Statistics\Verdict;

$spreads = [0.0, 0.5, 1.0, 2.0];
$rows = [];
$lives = static function (Chance $c, int $n, float $until): Lives {
    $times = array_map(static fn (): float => $c->weibull(1.5, 100.0), range(1, $n));

    return Lives::of(array_map(static fn (float $t): float => min($t, $until), $times), array_map(
        static fn (float $t): bool => $t <= $until, $times,
    ));
};
$tries = static fn (Chance $c, int $n, float $p): array => array_map(
    static fn (): float => $c->isSo($p) ? 1.0 : 0.0, range(1, $n),
);

foreach ([3, 5, 8] as $n) {
    $rows[] = new Row("A mean is shown, $n runs", 5.5, null, static fn (Chance $c): bool => State::Shown
        === Bench::state(Kind::Mean, 0.0, Bench::values($c->normals($n))));
    $rows[] = new Row("A mean is shown not to meet, $n runs", 5.5, null, static fn (Chance $c): bool => State::Against
        === Bench::state(Kind::Mean, 0.0, Bench::values($c->normals($n))));
    $rows[] = new Row("A mean of one article is shown of this article, $n runs", 5.5, null, static function (Chance $c, float $s) use ($n): bool {
        $own = $c->normal(0.0, $s);

        return Bench::state(Kind::Mean, $own, Bench::values($c->normals($n, $own), 'A')) === State::Shown;
    }, $spreads);
    $rows[] = new Row("A mean is shown by a known spread, $n runs", 5.5, null, static fn (Chance $c): bool => State::Shown
        === Bench::state(Kind::Mean, 0.0, Bench::values($c->normals($n)), Bench::measure(repeats: Bench::repeats($c))));
    $rows[] = new Row("Every article (0.9) is shown, $n", 5.5, null, static fn (Chance $c): bool => State::Shown
        === Bench::state(Kind::Every, -Normal::quantile(0.9), Bench::values($c->normals($n))));
    $rows[] = new Row("A spread is shown, $n runs", 5.5, null, static fn (Chance $c): bool => State::Shown
        === Bench::state(Kind::Spread, 1.0, Bench::values($c->normals($n)), null, true));
    $rows[] = new Row("A difference is told, $n runs a side, nothing there", 5.5, null, static fn (Chance $c): bool => Bench::isTold(
        Bench::compare($c->normals($n), $c->normals($n)),
    ));
    $rows[] = new Row("A difference is told, $n runs a side, one spreads three times as far", 6.0, null, static fn (Chance $c): bool => Bench::isTold(
        Bench::compare($c->normals($n), $c->normals($n, 0.0, 3.0)),
    ));
    $rows[] = new Row("A difference is told, $n runs a side, two spreads apart", null, null, static fn (Chance $c): bool => Bench::isTold(
        Bench::compare($c->normals($n), $c->normals($n, 2.0)),
    ));
    $rows[] = new Row("A difference is told, $n articles a side × 3 runs, nothing there", 5.5, null, static function (Chance $c, float $s) use ($n): bool {
        $runs = [];
        foreach (['a', 'b'] as $side) {
            for ($i = 0; $i < $n; ++$i) {
                $runs[] = new AlikeRuns($side, 'c', $c->normals(3, $c->normal(0.0, $s)), null, $side.$i);
            }
        }

        return Bench::isTold(CompareWithin::of($runs, Bench::CONFIDENCE));
    }, $spreads);
    $rows[] = new Row("A difference is told pair by pair, $n pairs, nothing there", 5.5, null, static function (Chance $c) use ($n): bool {
        $runs = [];
        for ($i = 0; $i < $n; ++$i) {
            $own = $c->normal(0.0, 3.0);
            array_push($runs, AlikeRuns::one('a', 'c', $own + $c->normal(), 'r'.$i), AlikeRuns::one('b', 'c', $own + $c->normal(), 'r'.$i));
        }

        return Bench::isTold(CompareWithin::of($runs, Bench::CONFIDENCE));
    });
    $rows[] = new Row("A difference is said to hang on the level, 3 levels × $n runs a side, it does not", 5.5, null, static function (
        Chance $c,
    ) use ($n): bool {
        $runs = [];
        foreach (['x' => 0.0, 'y' => 3.0, 'z' => 6.0] as $cell => $level) {
            array_push($runs, new AlikeRuns('a', $cell, $c->normals($n, $level)), new AlikeRuns('b', $cell, $c->normals($n, $level)));
        }

        return CompareWithin::of($runs, Bench::CONFIDENCE, Scale::Add)->verdict === WithinVerdict::ByCell;
    });
    $rows[] = new Row("Any of four sides that are alike is told, $n runs each", 5.5, null, static function (Chance $c) use ($n): bool {
        $found = CompareSides::of(array_map(
            static fn (string $side): AlikeRuns => new AlikeRuns($side, 'c', $c->normals($n)), ['p', 'q', 'r', 's'],
        ), Bench::CONFIDENCE);

        return array_filter($found->pairs, static fn ($pair): bool => $pair->told) !== [];
    });
    $rows[] = new Row("Repeats are said to spread otherwise, $n runs a side, they do not", 5.5, null, static fn (Chance $c): bool => Verdict::Indistinct
        !== CompareSpread::of($c->normals($n), $c->normals($n), Bench::CONFIDENCE)->verdict);
    $rows[] = new Row("Words are said to be higher or lower, $n a side, they are not", 5.0, null, static fn (Chance $c): bool => ByOrder::of(
        array_map(round(...), $c->normals($n)), array_map(round(...), $c->normals($n)),
    )->p < 1 - Bench::CONFIDENCE);
    $rows[] = new Row("It is said to hold more or less often, $n tries a side, it does not", 5.0, null, static function (Chance $c) use ($n, $tries): bool {
        $found = CompareProportionsWithin::of([
            new AlikeRuns('a', 'c', $tries($c, $n, 0.5)), new AlikeRuns('b', 'c', $tries($c, $n, 0.5)),
        ], Bench::CONFIDENCE);

        return $found->verdict !== Verdict::Indistinct;
    });
    $rows[] = new Row("A change did what was expected, $n a side, it did half", 5.5, null, static fn (Chance $c): bool => ChangeVerdict::Fixed
        === Judged::expected($c, $n, 2.0, 4.0));
    $rows[] = new Row("A change has no effect, $n a side, it did half", 5.5, null, static fn (Chance $c): bool => ChangeVerdict::NoEffect
        === Judged::expected($c, $n, 2.0, 4.0));
    $rows[] = new Row("A change made it worse, $n a side, it did nothing", 3.0, null, static fn (Chance $c): bool => ChangeVerdict::Worse
        === Judged::expected($c, $n, 0.0, 4.0));
    $rows[] = new Row("Lives are told apart, $n against $n, some stopped", 5.5, null, static function (Chance $c) use ($n, $lives): bool {
        try {
            return LogRank::of([$lives($c, $n, 120.0), $lives($c, $n, 120.0)])->p < 1 - Bench::CONFIDENCE;
        } catch (CoreException) {
            return false;
        }
    });
    $rows[] = new Row("One in ten ends before: the interval covers, $n lives, some stopped", null, 93.0, static function (Chance $c) use ($n, $lives): bool {
        // What is not estimable says nothing: such a workshop is made anew.
        do {
            $some = $lives($c, $n, 120.0);
        } while ($some->events() < 2);
        $life = Weibull::of($some, 10, Bench::CONFIDENCE)->life;
        $true = 100.0 * (-log(0.9)) ** (1 / 1.5);

        return $life->low <= $true && $true <= $life->high;
    });
    $rows[] = new Row("Raters are said to agree, $n raters and 3 items, they do not", 5.0, null, static fn (Chance $c): bool => Friedman::of(
        array_map(static fn (): array => $c->normals(3), range(1, $n)),
    )->p < 1 - Bench::CONFIDENCE);
    $rows[] = new Row("A reading is asked back as a slip, $n earlier ones, it is none", 5.0, null, static fn (Chance $c): bool => SlipCheck::check(
        Quantity::of($c->normal(50.0, 5.0), 'N'), $c->normals($n, 50.0, 5.0),
    )->suspect);
}
foreach ([[30, 0.9], [59, 0.95]] as [$n, $share]) {
    $rows[] = new Row("A share of $share is shown, $n tries", 5.0, null, static fn (Chance $c): bool => State::Shown === Bench::state(
        Kind::Rate, $share, array_map(static fn (float $held): Result => Result::of(
            $held > 0 ? ResultKind::Held : ResultKind::Failed,
        ), $tries($c, $n, $share)),
    ));
}
// By a drift of the spread one run a side pays: nothing is asked of it, and the sentence says on what it rests.
foreach ([2 => 5.5, 1 => null] as $n => $most) {
    $rows[] = new Row("Told with $n a side by a known spread that has drifted, nothing there", $most, null, static function (Chance $c) use ($n): bool {
        $now = exp($c->normal(0.0, 0.6));

        return Bench::isTold(Bench::compare($c->normals($n, 0.0, $now), $c->normals($n, 0.0, $now), Bench::repeats($c)));
    });
}
// Three holds are asked for: a fault that shows in one run of three passes them as often as 0.7³.
foreach ([[0.3, 36.0], [0.5, 14.0]] as [$p, $most]) {
    $rows[] = new Row("A fix that does nothing closes at first go, failed 2 of 2, p = $p", $most, null, static function (Chance $c) use ($p): bool {
        $closing = new Closing(Severity::number(1.0), 2, 2, Bench::CONFIDENCE);
        for ($i = 0; $i < 60 && $closing->state() !== ClosingState::Closed; ++$i) {
            if ($c->isSo($p)) {
                return false;
            }
            $closing->take(new ClosingEvent((string) $i, true, Severity::number(1.0), 'B', []));
        }

        return true;
    });
}
$rows[] = new Row('A real fix closes, failed 1 of 1, within eight runs', null, 95.0, static function (Chance $c): bool {
    $closing = new Closing(Severity::number(1.0), 1, 1, Bench::CONFIDENCE);
    for ($i = 0; $i < 8; ++$i) {
        $closing->take(new ClosingEvent((string) $i, true, Severity::number(1.0), 'B', []));
    }

    return $closing->state() === ClosingState::Closed;
});
foreach ([8, 24] as $n) {
    $rows[] = new Row("A preference is named, $n choices among 3 items, there is none", 6.0, null, static function (Chance $c) use ($n): bool {
        $pairs = [];
        for ($i = 0; $i < $n; ++$i) {
            [$a, $b] = [['p', 'q'], ['q', 'r'], ['p', 'r']][$i % 3];
            $pairs[] = $c->isSo(0.5) ? ['winner' => $a, 'loser' => $b] : ['winner' => $b, 'loser' => $a];
        }
        try {
            $ranked = PairedComparisons::of($pairs);
        } catch (CoreException) {
            return false;
        }
        $strengths = $ranked->strengths;
        arsort($strengths);
        $names = array_keys($strengths);
        foreach ([[0, 1], [1, 2]] as [$i, $j]) {
            if ($ranked->interval((string) $names[$i], (string) $names[$j], 1 - (1 - Bench::CONFIDENCE) / 2)->low > 0.5) {
                return true;
            }
        }

        return false;
    });
}

return $rows;
