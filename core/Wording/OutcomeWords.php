<?php

declare(strict_types=1);

namespace Lustrum\Core\Wording;

use Lustrum\Core\Judging\Figure;
use Lustrum\Core\Judging\OutcomeComparison;
use Lustrum\Core\Judging\OutcomeSide;
use Lustrum\Core\Judging\Rung;
use Lustrum\Core\Quantity\Digits;

/** Sentences about how often two builds hold. */
final class OutcomeWords
{
    /** With fewer runs a side nothing could be told anyway; more ways of trying it than so many stand in the table. */
    private const FEW = 3;

    public static function sentence(OutcomeComparison $c, string $metric): string
    {
        return implode(' ', [
            LookWords::soFar($c->terms->look).self::told($c, $metric), ...ComparisonWords::changed($c->changed),
            ...LookWords::remarks($c->terms, true),
        ]);
    }

    private static function told(OutcomeComparison $c, string $metric): string
    {
        $side = self::side($metric, $c->here);
        if ($c->other === null) {
            return Messages::say('comparison.shareAlone', ['side' => $side]);
        }

        $alike = $c->alike;
        if ($alike === null) {
            return Messages::say('comparison.shareUnmatched', ['side' => $side, 'other' => $c->other->letter]);
        }
        $isPart = $alike->triedHere < $c->here->tried || $alike->triedThere < $c->other->tried;

        return Messages::say('comparison.share', [
            'side' => $side, 'verdict' => $c->terms->tells() || $c->verdict !== 'indistinct' ? $c->verdict : 'untold',
            'other' => $c->other->letter, 'heldOther' => $alike->heldThere,
            'nOther' => $alike->triedThere, 'footing' => self::why($c), 'tilted' => self::why($c) !== '', 'part' => $isPart,
            'heldHere' => $alike->heldHere, 'nHere' => $alike->triedHere,
        ] + self::hides($c->difference, min($alike->triedHere, $alike->triedThere)));
    }

    /** The gravest difference of how both were tried. */
    private static function why(OutcomeComparison $c): string
    {
        $first = $c->footing->differences[0] ?? null;

        return $first === null ? '' : Messages::inside(FootingWords::why($first));
    }

    /**
     * Where all held on both sides: how much of a difference could hide; of fewer than three runs a side nothing is said.
     *
     * @return array{hides: bool, points: string}
     */
    public static function hides(?Figure $difference, int $runs): array
    {
        $most = max(abs($difference->low ?? 0.0), abs($difference->high ?? 0.0));

        return ['hides' => $difference !== null && $runs >= self::FEW, 'points' => Digits::decimals($most, 0)];
    }

    public static function difference(Figure $points, float $p): string
    {
        return Messages::say('comparison.shareDifference', [
            'difference' => Numbers::figure($points->called(Numbers::differenceUnit($points->unit))),
            'p' => ComparisonWords::p($p),
        ]);
    }

    /** Held of tried on a rung, with the interval of the share. */
    public static function rung(Rung $r): string
    {
        return Messages::say(
            'comparison.rung',
            ['held' => $r->held, 'n' => $r->tried, 'low' => Numbers::percent($r->low), 'high' => Numbers::percent($r->high)],
        );
    }

    /** Stands for the level where all runs of a side are alike. */
    public static function all(): string
    {
        return Messages::say('comparison.allRuns');
    }

    private static function side(string $metric, OutcomeSide $side): string
    {
        $height = match (true) {
            $side->highestHeld === null && $side->lowestFailed === null => '',
            $side->isCensored => Messages::say('comparison.heightCensored', ['level' => (string) $side->highestHeld]),
            $side->highestHeld !== null => Messages::say('comparison.heightHeld', ['level' => $side->highestHeld]),
            default => Messages::say('comparison.heightFailed', ['level' => (string) $side->lowestFailed]),
        };

        return Messages::say('comparison.shareSide', [
            'metric' => Messages::begin($metric), 'letter' => $side->letter, 'parts' => self::parts($side->rungs), 'height' => $height,
        ]);
    }

    /**
     * What was tried in one way is a share; of several ways each is one, and more than a reader keeps apart are counted.
     *
     * @param list<Rung> $rungs
     */
    private static function parts(array $rungs): string
    {
        if (count($rungs) > self::FEW) {
            $whole = array_filter($rungs, static fn (Rung $r): bool => $r->held === $r->tried);

            return Messages::say('comparison.shareParts', ['n' => count($rungs), 'whole' => count($whole)]);
        }

        return Messages::list(array_map(static fn (Rung $r): string => Messages::say('comparison.sharePart', [
            'held' => $r->held, 'n' => $r->tried, 'at' => $r->text !== '', 'level' => $r->text, 'just' => $r->onlyJust,
        ]), $rungs));
    }
}
