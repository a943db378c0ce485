<?php

declare(strict_types=1);

namespace Lustrum\Core\Wording;

use Lustrum\Core\Change\Expectation;
use Lustrum\Core\Change\ExpectedAs;
use Lustrum\Core\Judging\ChangeSeen;
use Lustrum\Core\Judging\ModeSeen;
use Lustrum\Core\Quantity\Digits;

/** Sentences about what was expected of a change and what came of it. */
final class ChangeWords
{
    public static function expected(?Expectation $e, string $metric): string
    {
        if ($e === null || ($e->mode->hasNumbers() && !$e->hasAmount())) {
            return '';
        }
        if ($e->mode === ExpectedAs::Unchanged || ($e->mode === ExpectedAs::Add && $e->likely() === 0.0 && $e->low === $e->high)) {
            return Messages::say('change.unchanged', [
                'metric' => $metric, 'known' => $e->margin !== null,
                'margin' => Numbers::set($e->margin ?? 0.0, Numbers::differenceUnit($e->unit)),
            ]);
        }
        if (!$e->mode->hasNumbers()) {
            return Messages::say('change.direction', ['metric' => $metric, 'mode' => $e->mode->value]);
        }

        return Messages::say($e->mode === ExpectedAs::Value ? 'change.expectedValue' : 'change.expected', [
            'metric' => $metric, 'amount' => self::amount($e),
        ]);
    }

    /** A range stays a range: '+40 to +60 N'. */
    private static function amount(Expectation $e): string
    {
        $unit = match ($e->mode) {
            ExpectedAs::Percent => '%',
            ExpectedAs::Value => $e->unit,
            default => Numbers::differenceUnit($e->unit),
        };
        $one = static fn (float $v, string $unit): string => $e->mode === ExpectedAs::Value
            ? Numbers::set($v, $unit) : Numbers::signed($v, Digits::short(abs($v)), $unit);
        [$low, $high] = [$e->low ?? $e->likely() ?? 0.0, $e->high ?? $e->likely() ?? 0.0];

        return $low === $high ? $one($e->likely() ?? $low, $unit) : Messages::say('change.range', [
            'low' => $one($low, ''), 'high' => $one($high, $unit),
        ]);
    }

    /** @param bool $judged has a person given a verdict of their own? */
    public static function sentence(ChangeSeen $seen, string $metric, bool $judged): string
    {
        if ($seen->expected === null) {
            return $judged ? '' : Messages::say('change.noMetric');
        }
        if ($seen->held !== null) {
            return self::shares($seen, $seen->held);
        }
        if ($seen->why !== '') {
            return Messages::say('change.notTogether', ['metric' => Messages::begin($metric), 'why' => $seen->why]);
        }
        if ($seen->order !== null) {
            return LookWords::soFar($seen->look).Messages::say('change.words', [
                'one' => $seen->here !== null && $seen->before !== null, 'n' => $seen->n, 'nBefore' => $seen->nBefore,
                'here' => $seen->here === null ? '' : Numbers::words($seen->here),
                'before' => $seen->before === null ? '' : Numbers::words($seen->before),
                'p' => ComparisonWords::p($seen->order->p), 'above' => $seen->order->above <=> 0.0,
                'together' => $seen->together !== [], 'others' => Messages::list($seen->together),
            ]);
        }
        if ($seen->seen === null) {
            return Messages::say('change.notMeasured', [
                'metric' => Messages::begin($metric),
                'where' => $seen->n + $seen->nBefore === 0 ? 'neither' : ($seen->n === 0 ? 'here' : 'parent'),
            ]);
        }

        return LookWords::soFar($seen->look).Messages::say('change.seen', [
            'difference' => self::difference($seen), 'n' => $seen->n, 'before' => $seen->nBefore, 'articles' => $seen->ofArticles,
            'together' => $seen->together !== [], 'others' => Messages::list($seen->together), 'drawn' => $seen->drawnIn,
        ]);
    }

    /**
     * How the difference was worked out.
     *
     * @param string $parent its letter
     */
    public static function how(ChangeSeen $seen, string $parent): string
    {
        return Messages::say('change.how', [
            'by' => $seen->order !== null ? 'order' : ($seen->held === null ? 'mean' : 'share'), 'parent' => $parent,
        ]);
    }

    private static function difference(ChangeSeen $seen): string
    {
        return self::seen($seen)->text ?? '';
    }

    /** The difference that was seen, for the screen. */
    public static function seen(ChangeSeen $seen): ?Estimate
    {
        $f = $seen->seen;

        return $f === null ? null : Estimate::of($f->called(Numbers::differenceUnit($f->unit)));
    }

    private static function shares(ChangeSeen $seen, int $held): string
    {
        $with = ['held' => $held, 'n' => $seen->n, 'heldBefore' => $seen->heldBefore, 'before' => $seen->nBefore];
        if ($held === $seen->n && $seen->heldBefore === $seen->nBefore) {
            return Messages::say('change.bothPass', $with + OutcomeWords::hides($seen->points, min($seen->n, $seen->nBefore)));
        }

        return LookWords::soFar($seen->look).Messages::say('change.shares', $with + [
            'low' => Digits::decimals((float) $seen->points?->low, 0), 'high' => Digits::decimals((float) $seen->points?->high, 0),
        ]);
    }

    /** What is expected of a change that is meant to end a mode. */
    public static function noLonger(ModeSeen $seen): string
    {
        return Messages::say('change.noLonger', ['mode' => $seen->mode]);
    }

    public static function howOfMode(): string
    {
        return Messages::say('change.howOfMode');
    }

    /**
     * How often a mode showed before and after, of the runs in which it could have shown.
     *
     * @param list<string> $together other changes that answer it
     */
    public static function ofMode(ModeSeen $seen, array $together = []): string
    {
        $d = $seen->difference;

        return Messages::say('change.ofMode', [
            'together' => $together !== [] && $d !== null, 'others' => Messages::list($together),
            'failed' => $seen->failed, 'tried' => $seen->tried, 'failedBefore' => $seen->failedBefore, 'triedBefore' => $seen->triedBefore,
            'both' => $d !== null, 'apart' => $seen->isApart, 'p' => $seen->p === null ? '' : ComparisonWords::p($seen->p),
            'low' => Digits::decimals(100 * ($d->low ?? 0.0), 0),
            'high' => Digits::decimals(100 * ($d->high ?? 0.0), 0),
            'where' => $seen->tried === 0 ? 'here' : 'parent',
        ]);
    }

    /** 'part:belt' as it is read. */
    public static function bearing(string $what): string
    {
        return Messages::say('change.bearing', [
            'kind' => explode(':', $what)[0], 'name' => trim(substr($what, (int) strpos($what, ':') + 1)),
        ]);
    }

    /** What one touch says. */
    public static function bearsNot(string $what, string $metric): string
    {
        return Messages::say('change.bearsNot', ['what' => Messages::begin(self::bearing($what)), 'metric' => $metric]);
    }

    public static function unrelated(string $what, string $by, string $metric, string $letter): string
    {
        return Messages::say('change.unrelated', [
            'what' => Messages::begin(self::bearing($what)), 'by' => $by, 'metric' => $metric, 'letter' => $letter,
        ]);
    }
}
