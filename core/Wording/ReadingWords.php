<?php

declare(strict_types=1);

namespace Lustrum\Core\Wording;

use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Quantity\Units;
use Lustrum\Core\Run\DerivedReading;
use Lustrum\Core\Run\ReadingFact;

/** Sentences about one reading. */
final class ReadingWords
{
    /** A reading is repeated with at least so many digits. */
    private const LEAST_DIGITS = 3;

    private const WITHOUT_STEP = 2;

    private const DIGITS_OF_U = 2;

    /** The value that would be right if the suspicion is, in the unit of the channel. */
    public static function corrected(float $value, Quantity $typed, string $unit): string
    {
        return Numbers::withUnit(Digits::plain($value, self::digits($typed)), $unit);
    }

    public static function beyond(float $value, Quantity $typed, string $unit, float $limit, bool $upper): string
    {
        return Messages::say('reading.beyond', [
            'value' => Numbers::withUnit(Digits::plain($value, self::digits($typed)), $unit),
            'upper' => $upper, 'limit' => Numbers::set($limit, $unit),
        ]);
    }

    /**
     * What is made of a value that was said with more than a number; empty for a plain one.
     *
     * @param string     $bound atLeast, atMost or empty
     * @param float|null $u     standard uncertainty in its unit
     */
    public static function said(string $bound, ?float $u, Quantity $value): string
    {
        if ($bound === '' && $u === null) {
            return '';
        }

        return Messages::say('reading.said', [
            'bound' => $bound === '' ? 'none' : $bound,
            'value' => Numbers::withUnit(Digits::plain($value->value, self::digits($value)), $value->unit->symbol),
            'sure' => $u !== null, 'u' => $u === null ? '' : Numbers::withUnit(Digits::plain($u, self::DIGITS_OF_U), $value->unit->symbol),
        ]);
    }

    /** What was read before it had come to rest is a bound: a settled value is asked for. */
    public static function unsettled(string $metric, string $said, bool $least): string
    {
        return Messages::say('reading.unsettled', ['metric' => Messages::begin($metric), 'said' => $said, 'least' => $least]);
    }

    /** How many readings are amended together, or would be. */
    public static function together(int $readings, bool $isTry): string
    {
        return Messages::say('reading.together', ['n' => $readings, 'isTry' => $isTry]);
    }

    /** @param string $metric name */
    public static function fact(ReadingFact $reading, string $metric): string
    {
        $unit = Units::parse($reading->unit);
        $step = $reading->step / $unit->factor;

        return Messages::say('reading.fact', [
            'metric' => $metric, 'kind' => $reading->kind->value,
            'value' => Numbers::amount(
                $unit->fromSi($reading->si), $step > 0 ? Digits::decimalsOf($step) : self::WITHOUT_STEP, $reading->unit,
            ),
        ]);
    }

    /** A value that was worked out, with its uncertainty; null where there is none. */
    public static function derived(DerivedReading $reading): ?string
    {
        return $reading->value === null ? null : Numbers::withUnit(
            Digits::uncertain($reading->value, $reading->u ?? 0.0), $reading->channel->unit,
        );
    }

    public static function whyNot(DerivedReading $reading): string
    {
        return $reading->waits ? Messages::say('reading.waits') : $reading->why;
    }

    public static function condition(string $name, string $text): string
    {
        return Messages::say('reading.condition', ['name' => $name, 'known' => trim($text) !== '', 'text' => $text]);
    }

    private static function digits(Quantity $typed): int
    {
        return max(self::LEAST_DIGITS, $typed->significantDigits());
    }

    /** @param list<string> $choices what it would be in units that fit */
    public static function undecided(array $choices): string
    {
        return Messages::say('reading.undecided', ['choices' => Messages::list($choices, 'list.or')]);
    }
}
