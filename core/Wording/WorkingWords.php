<?php

declare(strict_types=1);

namespace Lustrum\Core\Wording;

use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Working\About;
use Lustrum\Core\Working\Forecast;
use Lustrum\Core\Working\Output;
use Lustrum\Core\Working\Worked;

/** Sums of the bench, in words. */
final class WorkingWords
{
    private const DIGITS = 4;

    /** Nobody reads more of a list. */
    private const MOST = 12;

    /** The answer with its unit: with its standard uncertainty where an input has one. */
    public static function answer(Worked $one): string
    {
        if ($one->value === null) {
            return 'none';
        }
        if (is_array($one->value)) {
            $shown = array_map(static fn (float $v): string => Digits::plain($v, self::DIGITS), array_slice($one->value, 0, self::MOST));

            return Numbers::withUnit(implode('; ', $shown).(count($one->value) > self::MOST ? ' …' : ''), self::unit($one->unit));
        }

        return $one->isExact ? Numbers::withUnit(Digits::exact($one->value), self::unit($one->unit)) : self::value(
            $one->value, $one->u, $one->unit,
        );
    }

    public static function value(float $value, ?float $u, string $unit): string
    {
        return Numbers::withUnit(
            $u !== null && $u > 0.0 ? Digits::uncertain($value, $u) : Digits::plain($value, self::DIGITS), self::unit($unit),
        );
    }

    /**
     * A formula with what was put in, in the place of its letters.
     *
     * @param array<string, string> $texts   as typed, by input
     * @param array<string, string> $answers by output
     */
    public static function putIn(Output $output, About $about, array $texts, array $answers): string
    {
        $of = [];
        foreach ($about->inputs as $field) {
            if ($field->symbol !== '' && ($texts[$field->name] ?? '') !== '') {
                $of[$field->symbol] = $texts[$field->name];
            }
        }
        foreach ($about->outputs as $other) {
            if ($other->name !== $output->name && isset($answers[$other->name]) && !isset($of[$other->symbol])) {
                $of[$other->symbol] = $answers[$other->name];
            }
        }
        $sides = explode('=', $output->formula, 2);
        if (count($sides) < 2 || $of === []) {
            return '';
        }
        $put = preg_replace_callback('/[\p{L}][\p{L}′₀-₉₊₋ᵢ]*/u', static function (array $m) use ($of): string {
            $text = $of[$m[0]] ?? null;

            return $text === null ? $m[0] : (str_contains($text, ' ') ? '('.$text.')' : $text);
        }, $sides[1]);

        return $put === $sides[1] ? '' : trim($sides[0]).' ='.($put ?? '');
    }

    /** Which inputs the uncertainty comes from, the greatest first. */
    public static function parts(Worked $one, About $about): string
    {
        $said = [];
        foreach ($one->parts as $name => $share) {
            if ($share >= 0.005) {
                $said[] = Messages::say('working.part', [
                    'what' => lcfirst($about->field((string) $name)->words ?? (string) $name), 'percent' => Numbers::percent($share),
                ]);
            }
        }

        return $said === [] ? '' : Messages::say('working.parts', ['parts' => Messages::list($said)]);
    }

    /**
     * How a forecast came out.
     *
     * @param string $read as it was read, with its unit; empty: in the unit of the forecast
     */
    public static function scored(Forecast $forecast, string $read = ''): string
    {
        $unit = self::unit($forecast->unit);

        return Messages::say('working.scored', [
            'read' => $read !== '' ? $read : Numbers::withUnit(Digits::plain($forecast->read, self::DIGITS), $unit),
            'said' => self::value($forecast->value, $forecast->u, $forecast->unit), 'interval' => self::interval($forecast),
            'any' => $forecast->halves !== null,
            'inside' => $forecast->isInside === true, 'off' => Digits::plain(abs($forecast->halves ?? 0.0), 2),
            'side' => $forecast->read >= $forecast->value ? 'above' : 'below',
            'differs' => Numbers::withUnit(Digits::plain(abs($forecast->read - $forecast->value), 2), $unit),
        ]);
    }

    /** From where to where: as many decimals as the answer is said with. */
    private static function interval(Forecast $forecast): string
    {
        $half = Forecast::half($forecast->u);
        $decimals = $half > 0.0 ? Digits::decimalsOf(10.0 ** (floor(log10((float) $forecast->u)) - 1)) : 0;

        return sprintf(
            '[%s, %s]', Digits::decimals($forecast->value - $half, $decimals),
            Digits::decimals($forecast->value + $half, $decimals),
        );
    }

    /** The run that is forecast. */
    public static function run(string $trial, int $number, string $metric = ''): string
    {
        return Messages::say('working.run', ['trial' => $trial, 'number' => (string) $number, 'of' => $metric !== '', 'metric' => $metric]);
    }

    /**
     * @param int $changed of those that are kept, whose values have changed since
     * @param int $read    forecasts with an interval that were read
     * @param int $inside  of these
     */
    public static function sheet(int $sums, int $kept, int $changed, int $read, int $inside): string
    {
        return trim(Messages::say('working.sheet', ['sums' => $sums, 'kept' => $kept, 'changed' => $changed]).' '
            .($read === 0 ? '' : Messages::say('working.inside', ['read' => $read, 'inside' => $inside])));
    }

    /** What an open sum comes to. */
    public static function open(string $what, string $answer): string
    {
        return Messages::say('working.open', ['what' => Messages::begin($what), 'answer' => $answer]);
    }

    public static function solved(string $input, string $value, string $wanted): string
    {
        return Messages::say('working.solved', ['input' => lcfirst($input), 'value' => $value, 'wanted' => $wanted]);
    }

    public static function bought(string $nearest, string $gives): string
    {
        return Messages::say('working.bought', ['nearest' => $nearest, 'gives' => $gives]);
    }

    /** As it is written beside a number: plain ones and counts have none. */
    public static function unit(string $unit): string
    {
        return $unit === '1' || $unit === 'count' ? '' : $unit;
    }
}
