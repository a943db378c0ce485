<?php

declare(strict_types=1);

namespace Lustrum\Core\Calc;

use Lustrum\Core\Statistics\Natural;

/**
 * Cuts the ends of intervals off at the natural limits of a scale, and says which (`natural`, `cut`).
 *
 * Operations of the families stats and evidence take `natural: {low, high}`; without it nothing is cut. Everything else in
 * an answer, above all its verdict, is that of the whole interval.
 */
final class NaturalEnds
{
    private const FAMILIES = ['stats.', 'evidence.'];
    private const VALUE = 'value';
    private const DIFFERENCE = 'difference';
    private const PERCENT = 'percent';

    /** Which ends of an answer lie on which scale; '*' stands for each of a list. */
    private const ENDS = [
        'stats.describe' => ['low' => self::VALUE, 'high' => self::VALUE],
        'stats.compare' => [
            'difference.low' => self::DIFFERENCE, 'difference.high' => self::DIFFERENCE, 'change.low' => self::PERCENT,
            'change.high' => self::PERCENT,
        ],
        'stats.compareWithin' => [
            'difference.low' => self::DIFFERENCE, 'difference.high' => self::DIFFERENCE, 'change.low' => self::PERCENT,
            'change.high' => self::PERCENT,
        ],
        'stats.compareSides' => [
            'pairs.*.difference.low' => self::DIFFERENCE, 'pairs.*.difference.high' => self::DIFFERENCE,
        ],
        'stats.censored' => ['mean.low' => self::VALUE, 'mean.high' => self::VALUE],
        'stats.tolerance' => ['bound' => self::VALUE],
        'stats.regress' => ['predictions.*.low' => self::VALUE, 'predictions.*.high' => self::VALUE],
    ];

    public static function allowedIn(string $operation): bool
    {
        return array_filter(self::FAMILIES, static fn (string $family): bool => str_starts_with($operation, $family)) !== [];
    }

    public static function read(Input $in): Natural
    {
        if (!$in->has('natural')) {
            return Natural::none();
        }
        $limits = $in->object('natural');
        $limits->only(['low', 'high']);

        return Natural::between($limits->numberOrNull('low'), $limits->numberOrNull('high'));
    }

    /**
     * @param array<string, mixed> $answer
     *
     * @return array<string, mixed> with `cut`; unchanged where the operation has cut by itself
     */
    public static function cut(string $operation, array $answer, Natural $natural): array
    {
        if (array_key_exists('cut', $answer)) {
            return $answer;
        }
        $cut = [];
        foreach ($natural->isNone() ? [] : self::ENDS[$operation] ?? [] as $path => $scale) {
            $limits = match ($scale) {
                self::DIFFERENCE => $natural->ofDifference(),
                self::PERCENT => $natural->ofPercent(),
                default => $natural,
            };
            $answer = self::at($answer, explode('.', $path), $limits, '', $cut);
        }

        return $answer + ['cut' => $cut];
    }

    /**
     * @param array<array-key, mixed> $node
     * @param list<string>            $path
     * @param list<string>            $cut
     *
     * @return array<array-key, mixed>
     */
    private static function at(array $node, array $path, Natural $limits, string $done, array &$cut): array
    {
        $name = array_shift($path) ?? '';
        foreach ($name === '*' ? array_keys($node) : [$name] as $key) {
            $value = $node[$key] ?? null;
            $value = is_object($value) ? get_object_vars($value) : $value;
            if (is_array($value)) {
                $node[$key] = self::at($value, $path, $limits, $done.$key.'.', $cut);
            } elseif ((is_float($value) || is_int($value)) && $limits->cuts((float) $value)) {
                $node[$key] = $limits->clip((float) $value);
                $cut[] = $done.$key;
            }
        }

        return $node;
    }
}
