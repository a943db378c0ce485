<?php

declare(strict_types=1);

namespace Lustrum\Core\Said;

use Lustrum\Core\CoreException;
use Lustrum\Core\Quantity\Typed;
use Lustrum\Core\Quantity\TypedKind;
use Lustrum\Core\Quantity\Units;

/**
 * What somebody said of a try in one line: '412 N at 60 cm', 'handle pulled 412 N, cracked at the rim'.
 *
 * A small closed grammar: numbers with a unit that is known, each a level after 'at', 'from', 'on' or 'with' unless it stands
 * alone; the words before a number name it; a few words say that it held or failed. Everything else stays words.
 */
final readonly class Line
{
    private const NUMBER = '(?:(?:about|under|over|at (?:least|most))\s+|[<>≤≥~]\s*)?[+\-−]?\d+(?:[.,]\d+)?(?:\s*[\-–]\s*\d+(?:[.,]\d+)?)?(?:\s*±\s*\d+(?:[.,]\d+)?)?';
    private const UNIT = '[\p{L}°%µΩ][\p{L}\d°%µΩ·*\/²³^]*';
    private const LEVEL = ['at', 'from', 'on', 'with', '@'];
    private const HELD = ['held', 'holds', 'worked', 'works', 'passed', 'passes', 'ok', 'okay', 'fits', 'fine'];
    private const FAILED = [
        'failed', 'fails', 'broke', 'broken', 'cracked', 'snapped', 'slipped', 'leaked', 'split', 'bent', 'tore', 'torn',
        'jammed', 'melted', 'stuck',
    ];
    private const NEGATED = '/\b(?:no|not|never|without|nothing|hardly)\b|n[\'’]t\b/iu';
    private const FILLERS = ['a', 'an', 'and', 'by', 'in', 'is', 'it', 'of', 'the', 'then', 'to', 'was', 'were'];

    /** A name of more words is a sentence. */
    private const WORDS = 4;

    /**
     * @param list<LinePart> $parts
     * @param string         $words what is left without the numbers
     * @param bool|null      $held  null: it says neither
     */
    private function __construct(
        public array $parts,
        public string $words,
        public ?bool $held,
    ) {
    }

    public static function read(string $line): self
    {
        $text = trim(preg_replace('/\s+/u', ' ', mb_check_encoding($line, 'UTF-8') ? $line : '') ?? '');
        preg_match_all('/(?<![\p{L}\d.,])('.self::NUMBER.')\s*('.self::UNIT.')/iu', $text, $found, PREG_SET_ORDER | PREG_OFFSET_CAPTURE);
        $parts = [];
        $words = '';
        $from = 0;
        foreach ($found as [[$whole, $at], [$number], [$symbol]]) {
            $unit = self::unit($number, rtrim($symbol, '.,'));
            if ($unit === null) {
                continue;
            }
            $before = substr($text, $from, $at - $from);
            $quantity = trim($number).' '.$unit;
            [$name, $isLevel] = self::named($before);
            $parts[] = new LinePart($quantity, $unit, $name, $isLevel);
            $words .= ' '.preg_replace('/(?:^|\s)(?:at|from|on|with|@)\s*$/iu', ' ', $before);
            $from = $at + strlen($whole) - (strlen($symbol) - strlen($unit));
        }
        $words = self::tidy($words.' '.substr($text, $from));
        // 'Broke at 412 N': what stands alone is what came of it.
        $parts = count($parts) === 1 ? [$parts[0]->asResult()] : $parts;

        return new self($parts, $words, self::held($text));
    }

    /** Null where it is no unit, or the two are no quantity: '3 times', '2 of 3'. */
    private static function unit(string $number, string $symbol): ?string
    {
        try {
            return Units::knows($symbol) && Typed::read(trim($number).' '.$symbol)->kind !== TypedKind::Unknown ? $symbol : null;
        } catch (CoreException) {
            return null;
        }
    }

    /** @return array{string, bool} what the words before a number call it, and whether they say that it is a level */
    private static function named(string $before): array
    {
        $clauses = preg_split('/[,;:.()]/u', $before) ?: [''];
        $words = preg_split('/\s+/u', trim((string) end($clauses)), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $isLevel = false;
        $name = [];
        foreach (array_reverse($words) as $word) {
            $small = mb_strtolower($word);
            if (in_array($small, self::LEVEL, true)) {
                $isLevel = true;
                break;
            }
            if (in_array($small, [...self::HELD, ...self::FAILED], true)) {
                break;
            }
            $name[] = $word;
        }
        $name = array_reverse($name);
        while ($name !== [] && in_array(mb_strtolower($name[0]), self::FILLERS, true)) {
            array_shift($name);
        }
        while ($name !== [] && in_array(mb_strtolower($name[count($name) - 1]), self::FILLERS, true)) {
            array_pop($name);
        }

        return [count($name) > self::WORDS ? '' : implode(' ', $name), $isLevel];
    }

    private static function held(string $text): ?bool
    {
        if (preg_match(self::NEGATED, $text) === 1) {
            return null;
        }
        $words = preg_split('/[^\p{L}]+/u', mb_strtolower($text)) ?: [];

        return match (true) {
            array_intersect(self::FAILED, $words) !== [] => false,
            array_intersect(self::HELD, $words) !== [] => true,
            default => null,
        };
    }

    private static function tidy(string $words): string
    {
        $tidy = preg_replace(['/\s+([,;.])/u', '/([,;.])(?:\s*[,;.])+/u', '/\s+/u'], ['$1', '$1', ' '], $words) ?? '';

        return trim($tidy, ' ,;.');
    }
}
