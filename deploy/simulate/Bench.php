<?php

declare(strict_types=1);

use Lustrum\Core\Alike\AlikeRuns;
use Lustrum\Core\Alike\CompareWithin;
use Lustrum\Core\Evidence\Assess;
use Lustrum\Core\Evidence\Direction;
use Lustrum\Core\Evidence\Kind;
use Lustrum\Core\Evidence\Measure;
use Lustrum\Core\Evidence\Requirement;
use Lustrum\Core\Evidence\State;
use Lustrum\Core\Evidence\ValueScale;
use Lustrum\Core\Outcome\Result;
use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Statistics\KnownSpread;
use Lustrum\Core\Statistics\Natural;
use Lustrum\Core\Statistics\Repeats;

/** Results of simulated runs, put to the functions that the sheets call. */
final class Bench
{
    public const CONFIDENCE = 0.95;

    /** Degrees with which a spread is known where it is, as from sixteen runs of four builds. */
    public const KNOWN = 12;

    /** @param list<Result> $results */
    public static function state(Kind $kind, float $limit, array $results, ?Measure $measure = null, bool $atMost = false): State
    {
        return Assess::results(Requirement::of(
            $kind, $atMost ? Direction::AtMost : Direction::AtLeast, $limit, self::CONFIDENCE,
        ), $results, 1, $measure)->state;
    }

    public static function measure(ValueScale $scale = ValueScale::Add, Repeats $repeats = new Repeats()): Measure
    {
        return new Measure(Natural::none(), $repeats, $scale);
    }

    /**
     * @param list<float> $values
     *
     * @return list<Result>
     */
    public static function values(array $values, string $article = ''): array
    {
        return array_map(static fn (float $v): Result => Result::of(ResultKind::Equal, $v, [], $article), $values);
    }

    /**
     * @return list<Result> of so many articles, with so many runs each, about nought
     */
    public static function articles(Chance $c, int $articles, int $runs, float $spread): array
    {
        $out = [];
        for ($a = 0; $a < $articles; ++$a) {
            array_push($out, ...self::values($c->normals($runs, $c->normal(0.0, $spread)), 'A'.$a));
        }

        return $out;
    }

    /** Repeats whose spread, truly 1, is known from earlier builds as well as so many degrees allow. */
    public static function repeats(Chance $c): Repeats
    {
        return new Repeats([KnownSpread::of(max(1e-6, $c->known(1.0, self::KNOWN)), self::KNOWN)]);
    }

    /**
     * @param list<float> $a
     * @param list<float> $b
     */
    public static function compare(array $a, array $b, Repeats $repeats = new Repeats()): CompareWithin
    {
        return CompareWithin::of([new AlikeRuns('a', 'c', $a), new AlikeRuns('b', 'c', $b)], self::CONFIDENCE, null, 1, $repeats);
    }

    public static function isTold(CompareWithin $found): bool
    {
        return in_array($found->verdict->value, ['higher', 'lower'], true);
    }
}
