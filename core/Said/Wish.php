<?php

declare(strict_types=1);

namespace Lustrum\Core\Said;

use Lustrum\Core\Evidence\Direction;
use Lustrum\Core\Evidence\Kind;
use Lustrum\Core\Quantity\Units;

/**
 * A requirement as somebody says it: 'holds 400 N on every one', 'spacing error at most 12 % on dry and moist soil'.
 *
 * A small closed grammar. What it cannot read stays words, and is asked for by pickers.
 */
final readonly class Wish
{
    private const NUMBER = '\d+(?:[.,]\d+)?';
    private const UNIT = '[\p{L}°%µΩ€$£][\p{L}\d°%µΩ·*\/²³^]*';

    private const AT_LEAST = ['at least', 'no less than', 'not less than', 'not under', 'no fewer than', 'minimum', 'min', 'more than', 'over', '>=', '≥', '>'];
    private const AT_MOST = [
        'at most', 'no more than', 'not more than', 'not over', 'up to', 'within', 'maximum', 'max', 'less than', 'fewer than',
        'under', 'below',
        '<=', '≤', '<',
    ];

    /** A verb that says which way is good, where nothing else does. */
    private const MORE = ['holds', 'hold', 'carries', 'bears', 'lasts', 'survives', 'reaches', 'withstands', 'runs'];
    private const LESS = ['weighs', 'costs', 'takes', 'needs', 'wastes', 'loses', 'drifts'];

    private const EVERY = '/\b(?:on|for|of)?\s*(?:every|each)\s+(?:one|article|piece|unit|single one)\b|\bevery single one\b|\ball of them\b/iu';
    private const MEAN = '/\b(?:on average|in the mean|on the whole)\b/iu';
    private const SPREAD = '/\b(?:spread|scatter|standard deviation|varies)\b(?:\s+(?:by|of))?/iu';
    private const RATING = '/\b(?:rated|rating|like|likes)\b/iu';
    private const OF_TRIES = '/\b(?:in\s+)?(\d+)\s+(?:out\s+)?of\s+(\d+)\b(?:\s+(?:tries|runs|times|drops|cases))?/iu';
    private const SHARE_OF_TRIES = '/('.self::NUMBER.')\s*%\s+of\s+(?:all\s+|the\s+)?(?:tries|runs|times|drops|cases)\b/iu';
    private const NEVER = '/\b(?:never|nothing|no|not|without|must|fits|is|are|has|can)\b/iu';
    private const FILLERS = ['a', 'an', 'and', 'at', 'by', 'for', 'in', 'is', 'it', 'its', 'must', 'of', 'on', 'should', 'that', 'the', 'to', 'with'];

    /**
     * @param string         $metric     as it is called; empty: nobody said
     * @param string         $unit       empty for a share or a check
     * @param list<string>   $conditions 'soil=dry', 'height>=60 cm'
     * @param Direction|null $direction  null: it does not say which way is good
     */
    private function __construct(
        public string $metric,
        public ?Direction $direction,
        public ?float $limit,
        public string $unit,
        public Kind $kind,
        public array $conditions,
    ) {
    }

    /**
     * @param array<string, string> $metrics what the device measures, by name: the unit; empty where there is none
     * @param list<string>          $places  levels and conditions in words that the methods know: 'soil=dry'
     * @param array<string, string> $sizes   factors and conditions with a unit, by name
     *
     * @return self|null null where it says nothing that can be read
     */
    public static function read(string $sentence, array $metrics = [], array $places = [], array $sizes = []): ?self
    {
        $text = ' '.trim(preg_replace('/\s+/u', ' ', mb_check_encoding($sentence, 'UTF-8') ? $sentence : '') ?? '', ' .').' ';
        if (trim($text) === '') {
            return null;
        }
        $conditions = [];
        $text = self::takeSizes($text, $sizes, $conditions);
        $text = self::takePlaces($text, $places, $conditions);
        $share = self::takeShare($text);
        $isEvery = self::take(self::EVERY, $text);
        $isSpread = self::take(self::SPREAD, $text);
        $isMean = self::take(self::MEAN, $text);
        $isRating = preg_match(self::RATING, $text) === 1;
        self::take('/\brat(?:ed|ing)\b/iu', $text);
        [$direction, $limit, $unit] = self::takeLimit($text);
        if ($share !== null) {
            return new self(self::named($text, $metrics, ''), Direction::AtLeast, $share, '%', Kind::Rate, $conditions);
        }
        if ($limit === null) {
            return preg_match(self::NEVER, $text) === 1 || $conditions !== []
                ? new self(self::named($text, $metrics, ''), Direction::AtLeast, 1.0, '', Kind::Check, $conditions) : null;
        }
        $kind = match (true) {
            $isEvery => Kind::Every,
            $isSpread => Kind::Spread,
            $isRating && !$isMean => Kind::Rating,
            default => Kind::Mean,
        };

        return new self(self::named($text, $metrics, $unit), $direction, $limit, $unit, $kind, $conditions);
    }

    /** Is it there? Then it is taken out. */
    private static function take(string $pattern, string &$text): bool
    {
        $text = preg_replace($pattern, ' ', $text, 1, $n) ?? $text;

        return $n > 0;
    }

    /** '9 of 10', '95 % of tries', in per cent; null: no share is spoken of. */
    private static function takeShare(string &$text): ?float
    {
        if (preg_match(self::SHARE_OF_TRIES, $text, $m) === 1) {
            self::take(self::SHARE_OF_TRIES, $text);
            self::takeWords([...self::AT_LEAST, ...self::AT_MOST], $text);

            return (float) str_replace(',', '.', $m[1]);
        }
        if (preg_match(self::OF_TRIES, $text, $m) === 1 && (int) $m[2] > 0 && (int) $m[1] < (int) $m[2]) {
            self::take(self::OF_TRIES, $text);
            self::takeWords([...self::AT_LEAST, ...self::AT_MOST], $text);

            return 100 * (int) $m[1] / (int) $m[2];
        }

        return null;
    }

    /** @return array{Direction|null, float|null, string} */
    private static function takeLimit(string &$text): array
    {
        if (preg_match('/(?<![\p{L}\d.,])([€$£])?\s?('.self::NUMBER.')(?:\s*('.self::UNIT.'))?/u', $text, $m, PREG_OFFSET_CAPTURE) !== 1) {
            return [null, null, ''];
        }
        [$whole, $at] = $m[0];
        $symbol = rtrim($m[3][0] ?? '', '.,');
        $isUnit = $symbol !== '' && Units::knows($symbol);
        $before = mb_strtolower(substr($text, 0, $at));
        $direction = match (true) {
            self::endsIn(self::AT_LEAST, $before) => Direction::AtLeast,
            self::endsIn(self::AT_MOST, $before) => Direction::AtMost,
            self::says(self::MORE, $before) => Direction::AtLeast,
            self::says(self::LESS, $before) => Direction::AtMost,
            preg_match('/^\s*(?:or\s+(?:more|better|longer|harder))\b/iu', substr($text, $at + strlen($whole))) === 1 => Direction::AtLeast,
            preg_match('/^\s*(?:or\s+(?:less|fewer|lighter|faster))\b/iu', substr($text, $at + strlen($whole))) === 1 => Direction::AtMost,
            default => null,
        };
        $end = $at + strlen($whole) - ($isUnit ? strlen($m[3][0] ?? '') - strlen($symbol) : strlen($m[3][0] ?? ''));
        $text = substr($text, 0, $at).' '.substr($text, $end);
        self::takeWords([...self::AT_LEAST, ...self::AT_MOST, 'or more', 'or better', 'or less', 'or fewer'], $text);

        return [$direction, (float) str_replace(',', '.', $m[2][0]), $isUnit ? $symbol : ''];
    }

    /**
     * 'At 60 cm or harder', of a factor that has a size.
     *
     * @param array<string, string> $sizes
     * @param list<string>          $conditions
     */
    private static function takeSizes(string $text, array $sizes, array &$conditions): string
    {
        $pattern = '/\b(from|at|up to)\s+(?:a\s+)?((?:[\p{L}]+\s+){0,3})('.self::NUMBER.')\s*('.self::UNIT.')(\s+(?:or harder|or more|on|upwards|at least|or milder|or less))?(?=[\s,.])/iu';

        return preg_replace_callback($pattern, static function (array $m) use ($sizes, &$conditions): string {
            $isRange = isset($m[5]) || mb_strtolower($m[1]) === 'from';
            $name = self::sized(trim($m[2]), $m[4], $sizes);
            if ($name === null || !$isRange) {
                return $m[0];
            }
            $isUpper = preg_match('/milder|less/iu', $m[5] ?? '') === 1;
            $conditions[] = $name.($isUpper ? '<=' : '>=').$m[3].' '.$m[4];

            return ' ';
        }, $text) ?? $text;
    }

    /**
     * The factor of that name, or the only one that is measured so.
     *
     * @param array<string, string> $sizes
     */
    private static function sized(string $called, string $unit, array $sizes): ?string
    {
        $fitting = [];
        foreach ($sizes as $name => $own) {
            if (Units::fit($unit, $own)) {
                $fitting[] = (string) $name;
            }
        }
        foreach ($fitting as $name) {
            if (mb_strtolower($name) === mb_strtolower($called)) {
                return $name;
            }
        }

        return $called === '' && count($fitting) === 1 ? $fitting[0] : null;
    }

    /**
     * 'On dry and moist soil': words of a level or a condition, together with its name or with each other.
     *
     * @param list<string> $places
     * @param list<string> $conditions
     */
    private static function takePlaces(string $text, array $places, array &$conditions): string
    {
        foreach ($places as $place) {
            [$name, $word] = array_pad(explode('=', $place, 2), 2, '');
            $of = static fn (string $w): string => '/(?<![\p{L}\d])'.preg_quote($w, '/').'(?![\p{L}\d])/iu';
            if (trim($word) !== '' && preg_match($of($word), $text) === 1) {
                $conditions[] = $place;
                $text = preg_replace([$of($word), $of($name)], ' ', $text) ?? $text;
            }
        }

        return $text;
    }

    /**
     * What is left names it: a metric that is known, the only one in that unit, or the words themselves.
     *
     * @param array<string, string> $metrics
     */
    private static function named(string $text, array $metrics, string $unit): string
    {
        $small = mb_strtolower($text);
        $known = array_map(strval(...), array_keys($metrics));
        usort($known, static fn (string $a, string $b): int => mb_strlen($b) <=> mb_strlen($a));
        foreach ($known as $name) {
            if (preg_match('/(?<![\p{L}\d])'.preg_quote(mb_strtolower($name), '/').'(?![\p{L}\d])/u', $small) === 1) {
                return $name;
            }
        }
        $fitting = array_filter($known, static fn (string $n): bool => Units::fit($metrics[$n] ?? '', $unit));
        $words = self::words($text);

        // 'It weighs', 'holds': a verb names nothing.
        $isVerb = $words === '' || in_array($words, [...self::MORE, ...self::LESS], true);

        return count($fitting) === 1 && $isVerb ? array_values($fitting)[0] : $words;
    }

    private static function words(string $text): string
    {
        $words = preg_split('/[\s,;:]+/u', trim($text), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $isFiller = static fn (string $w): bool => in_array(mb_strtolower($w), self::FILLERS, true);
        while ($words !== [] && $isFiller($words[0])) {
            array_shift($words);
        }
        while ($words !== [] && $isFiller($words[count($words) - 1])) {
            array_pop($words);
        }

        return mb_strtolower(implode(' ', $words));
    }

    /** @param list<string> $words */
    private static function takeWords(array $words, string &$text): void
    {
        $plain = array_filter($words, static fn (string $w): bool => preg_match('/\p{L}/u', $w) === 1);
        usort($plain, static fn (string $a, string $b): int => strlen($b) <=> strlen($a));
        $text = preg_replace('/(?<!\p{L})(?:'.implode('|', array_map(static fn (string $w): string => preg_quote($w, '/'), $plain)).')(?!\p{L})|[<>≤≥]=?/iu', ' ', $text) ?? $text;
    }

    /** @param list<string> $words */
    private static function endsIn(array $words, string $before): bool
    {
        foreach ($words as $word) {
            if (preg_match('/(?<!\p{L})'.preg_quote($word, '/').'(?:\s+(?:by|about))?\s*$/u', $before) === 1) {
                return true;
            }
        }

        return false;
    }

    /** @param list<string> $words */
    private static function says(array $words, string $before): bool
    {
        return array_intersect($words, preg_split('/[^\p{L}]+/u', $before) ?: []) !== [];
    }
}
