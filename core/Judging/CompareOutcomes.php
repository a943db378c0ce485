<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Alike\CompareProportionsWithin;
use Lustrum\Core\Footing\FootingCheck;
use Lustrum\Core\NotEstimable;
use Lustrum\Core\Statistics\Interval;
use Lustrum\Core\Statistics\Verdict;

/** Compares two builds by how often they hold. */
final class CompareOutcomes
{
    /**
     * @return list<OutcomeComparison> one for each metric that runs of this build show by holding
     */
    public static function all(Build $build, Seen $here, ?Build $against, ?Seen $other, float $confidence): array
    {
        $terms = new Terms($confidence);

        return array_values(array_filter(array_map(
            static fn (string $metric): ?OutcomeComparison => self::metric($metric, $build, $here, $against, $other, $terms),
            $here->asked(),
        )));
    }

    /**
     * Null where nothing of this build says of it.
     *
     * @param list<string> $dependsOn change classes that the metric depends on; empty: all of them
     */
    public static function metric(
        string $metric, Build $build, Seen $here, ?Build $against, ?Seen $other, Terms $terms, array $dependsOn = [],
    ): ?OutcomeComparison {
        $mine = $here->answered($metric);
        $theirs = $other?->answered($metric);
        if ($mine === null) {
            return null;
        }
        $side = OutcomeSide::of($build, $mine, $terms->confidence());
        if ($against === null || $theirs === null || $other === null) {
            return new OutcomeComparison($metric, $side, null, null, null, null, '', $terms);
        }
        $footing = self::footing($here, $mine, $other, $theirs, [
            ...$build->unrelated->to($metric, $dependsOn), ...$against->unrelated->to($metric, $dependsOn),
        ]);

        return self::compare(
            $metric, $side, $mine, OutcomeSide::of($against, $theirs, $terms->confidence()), $theirs, $terms, $footing,
            Bearing::between([[$build, $mine->designs()], [$against, $theirs->designs()]], $metric, $dependsOn, $footing),
        );
    }

    /**
     * On the levels that both were tried at; what one of them alone was tried at says nothing of the other.
     *
     * @param list<Bearing> $bearing
     */
    private static function compare(
        string $metric, OutcomeSide $here, Answers $mine, OutcomeSide $other, Answers $theirs, Terms $terms, ?FootingCheck $footing,
        array $bearing,
    ): OutcomeComparison {
        $c = self::within($mine, $theirs, $terms->confidence());
        if ($c === null) {
            return new OutcomeComparison($metric, $here, $other, null, null, null, 'unmatched', $terms, bearing: $bearing);
        }
        $points = new Interval(100 * $c->difference->estimate, 100 * (float) $c->difference->low, 100 * (float) $c->difference->high);
        $alike = AlikeShares::of($c);
        $verdict = match (true) {
            $alike->allHeld() => 'bothPass',
            !$terms->tells() => 'indistinct',
            $c->verdict === Verdict::Higher => 'more',
            $c->verdict === Verdict::Lower => 'less',
            default => 'indistinct',
        };

        return new OutcomeComparison(
            $metric, $here, $other, $alike, Figure::of($points, '%', 0), $c->p, $verdict, $terms, $footing,
            [$here->letter => $mine->changed(), $other->letter => $theirs->changed()], $bearing,
        );
    }

    /**
     * Of the runs at levels that both were tried at; null where there are none.
     *
     * @param list<string> $unrelated
     */
    private static function footing(
        Seen $here, Answers $mine, Seen $other, Answers $theirs, array $unrelated,
    ): ?FootingCheck {
        $pairing = Pairing::of([...$theirs->asBuilt()->sided('a'), ...$mine->asBuilt()->sided('b')]);
        [$a, $b] = [$pairing->circumstances('a'), $pairing->circumstances('b')];

        return $a === [] || $b === [] ? null : FootingCheck::between(
            Contexts::ofAnswers($other, $a, $unrelated), Contexts::ofAnswers($here, $b, $unrelated),
        );
    }

    /** Null where no level was tried on both. */
    public static function within(Answers $mine, Answers $theirs, float $confidence): ?CompareProportionsWithin
    {
        [$mine, $theirs] = [$mine->asBuilt(), $theirs->asBuilt()];
        try {
            return CompareProportionsWithin::of(Pairing::of([...$theirs->sided('a'), ...$mine->sided('b')])->runs, $confidence);
        } catch (NotEstimable) {
            return null;
        }
    }
}
