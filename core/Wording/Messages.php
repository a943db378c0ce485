<?php

declare(strict_types=1);

namespace Lustrum\Core\Wording;

/**
 * The sentences of Lustrum: one catalogue of ICU messages, a file a family, so that plurals and order of words are the
 * language's own and never put together by hand.
 *
 * Numbers that were measured come in as text, rounded once by Numbers; counts come in as whole numbers.
 */
final class Messages
{
    private const LOCALE = 'en';

    /** @var array<string, array<string, string>> by family */
    private static array $families = [];

    /** @var array<string, \MessageFormatter> */
    private static array $formatters = [];

    /** A table of all builds says few sentences, each of them often. */
    private const REMEMBERED = 1000;

    /** @var array<string, string> what was said last, by message and what it was filled in with */
    private static array $said = [];

    /**
     * @param string                         $key  'family.name'
     * @param array<string, string|int|bool> $with by the names in the message
     *
     * @throws \LogicException when the catalogue has no such message, or it cannot be filled in
     */
    public static function say(string $key, array $with = []): string
    {
        $as = $key;
        foreach ($with as $name => $value) {
            if (is_bool($value)) {
                $with[$name] = $value ? 'yes' : 'no';
            }
            $as .= "\x1e".$name.(is_int($value) ? "\x1d" : "\x1f").$with[$name];
        }
        if (isset(self::$said[$as])) {
            return self::$said[$as];
        }
        $formatter = self::$formatters[$key] ??= self::formatter($key);
        $text = $formatter->format($with);

        if ($text === false) {
            throw new \LogicException(sprintf('The message %s cannot be filled in: %s', $key, $formatter->getErrorMessage()));
        }
        if (count(self::$said) >= self::REMEMBERED) {
            self::$said = [];
        }

        return self::$said[$as] = $text;
    }

    /**
     * Words in a row: 'a', 'a and b', 'a, b and c'.
     *
     * @param list<string> $words
     */
    public static function list(array $words, string $last = 'list.and'): string
    {
        if (count($words) < 2) {
            return $words[0] ?? '';
        }
        $end = array_pop($words);

        return self::say($last, ['first' => implode(', ', $words), 'last' => $end]);
    }

    /**
     * Names in a row, each in quotation marks.
     *
     * @param list<string> $names
     */
    public static function quoted(array $names): string
    {
        return self::list(array_map(static fn (string $name): string => '“'.$name.'”', $names));
    }

    /** The first letter as a sentence begins, whatever the alphabet. */
    public static function begin(string $text): string
    {
        return mb_strtoupper(mb_substr($text, 0, 1)).mb_substr($text, 1);
    }

    /** A sentence as it stands inside another one: without its full stop, and small at the start unless it is a name or a serial. */
    public static function inside(string $sentence): string
    {
        $text = rtrim($sentence, '.');
        $second = mb_substr($text, 1, 1);
        // A serial is a name: 'B-9', 'U-2'.
        if (preg_match('/^\S*\d/u', $text) === 1) {
            return $text;
        }

        return $second !== '' && $second === mb_strtoupper($second) && $second !== mb_strtolower($second) ? $text : mb_strtolower(mb_substr($text, 0, 1)).mb_substr($text, 1);
    }

    /** @return array<string, string> all messages by key, for the test that formats each */
    public static function all(): array
    {
        $all = [];
        foreach (glob(__DIR__.'/catalogue/'.self::LOCALE.'/*.php') ?: [] as $file) {
            $family = basename($file, '.php');
            foreach (self::family($family) as $name => $pattern) {
                $all[$family.'.'.$name] = $pattern;
            }
        }

        return $all;
    }

    private static function formatter(string $key): \MessageFormatter
    {
        [$family, $name] = explode('.', $key, 2);
        $pattern = self::family($family)[$name] ?? throw new \LogicException('There is no message '.$key.'.');

        return new \MessageFormatter(self::LOCALE, $pattern);
    }

    /** @return array<string, string> */
    private static function family(string $family): array
    {
        if (!isset(self::$families[$family])) {
            $messages = require __DIR__.'/catalogue/'.self::LOCALE.'/'.$family.'.php';
            self::$families[$family] = is_array($messages) ? array_map(
                static fn (mixed $m): string => is_string($m) ? $m : '', $messages,
            ) : [];
        }

        return self::$families[$family];
    }
}
