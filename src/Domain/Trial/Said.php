<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Core\CoreException;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Quantity\QuantityText;
use Lustrum\Core\Quantity\Typed;
use Lustrum\Core\Quantity\TypedKind;
use Lustrum\Core\Quantity\Unit;
use Lustrum\Shared\Measure;
use Lustrum\Shared\Refusal\Invalid;

/** A reading as somebody said it: a value, about a value, a range, a bound, a word of a scale, or a number whose unit nobody knows. */
final readonly class Said
{
    /** A display that had not come to rest: what it would have shown lies beyond. */
    private const MOVING = '/^still (rising|falling)(?: at)?\s+(.+)$/iu';
    /** The unit of a plain number, which nobody writes. */
    private const PLAIN = '1';
    private const NOT_KNOWN = ' (unit not known)';

    /**
     * @param string     $words as it was said, where that is more than a value with its unit; else empty
     * @param string     $bound atLeast, atMost; empty: it is none, as far as was said
     * @param float|null $u     standard uncertainty in the unit of the quantity, where one was said
     * @param bool       $undecided does nobody know its unit? Then it is kept, and used for nothing
     */
    public function __construct(
        public Quantity $quantity,
        public string $words = '',
        public string $bound = '',
        public ?float $u = null,
        public bool $undecided = false,
    ) {
    }

    /**
     * A number whose unit nobody remembers.
     *
     * @throws Invalid
     */
    public static function withoutUnit(string $text): self
    {
        $bare = QuantityText::bare($text) ?? throw Invalid::at('text', 'Type the number alone: its unit is what nobody knows.');

        return new self(Quantity::of($bare[0], '1', $bare[1]), trim($text).self::NOT_KNOWN, undecided: true);
    }

    /** What was typed, of words that it is kept with. */
    public static function typed(string $words): string
    {
        return str_ends_with($words, self::NOT_KNOWN) ? substr($words, 0, -strlen(self::NOT_KNOWN)) : $words;
    }

    /**
     * A word of an ordered scale; its value is its place, the lowest first.
     *
     * @param list<string> $words
     *
     * @throws Invalid
     */
    public static function word(string $text, array $words): self
    {
        foreach ($words as $i => $word) {
            if (mb_strtolower(trim($text)) === mb_strtolower($word)) {
                return new self(Quantity::of($i + 1, '1', 1.0), $word);
            }
        }
        throw Invalid::at('text', sprintf('One of: %s.', implode(', ', $words)));
    }

    /**
     * @param string $beside unit that stood beside the field
     *
     * @throws CoreException where it cannot be read
     * @throws Invalid       where there is nothing to be kept
     */
    public static function of(string $text, string $beside): self
    {
        if (preg_match(self::MOVING, trim($text), $m) === 1) {
            return self::moving(strtolower($m[1]), self::of($m[2], $beside));
        }
        $bare = $beside === self::PLAIN ? QuantityText::bare($text) : null;
        if ($bare !== null) {
            return new self(Quantity::of($bare[0], self::PLAIN, $bare[1]));
        }
        try {
            return new self(Quantity::typedBeside($text, $beside));
        } catch (CoreException $plain) {
            try {
                $typed = Typed::read($text, null, $beside);
            } catch (CoreException) {
                // What is wrong with it as a plain quantity helps more than what is wrong with it as a range.
                throw $plain;
            }
        }
        if ($typed->kind === TypedKind::Unknown) {
            throw Invalid::at('text', 'Nobody knows it: leave it empty, and say so in the note.');
        }
        if ($typed->value === null || $typed->unit === null) {
            throw $plain;
        }

        return new self(Quantity::of($typed->value, $typed->unit->symbol, $typed->resolution), self::words($text, $typed->unit), match ($typed->kind) {
            TypedKind::AtLeast => 'atLeast',
            TypedKind::AtMost => 'atMost',
            default => '',
        }, $typed->u);
    }

    /**
     * Read while it still moved: it is a bound, until a settled one is read.
     *
     * @throws Invalid
     */
    private static function moving(string $way, self $said): self
    {
        if ($said->bound !== '') {
            throw Invalid::at('text', 'What still moves is a bound already: type the number alone.');
        }

        return new self(
            $said->quantity,
            sprintf('still %s at %s', $way, $said->words !== '' ? $said->words : Measure::of($said->quantity)->view()->text),
            $way === 'rising' ? 'atLeast' : 'atMost', $said->u,
        );
    }

    /** Was it read while it still moved? */
    public static function isUnsettled(string $words): bool
    {
        return preg_match(self::MOVING, $words) === 1;
    }

    /** With its unit, which may have stood beside the field. */
    private static function words(string $text, Unit $unit): string
    {
        $tidy = trim($text);

        return preg_match('/[\d.,)]$/', $tidy) === 1 && $unit->symbol !== self::PLAIN ? $tidy.' '.$unit->symbol : $tidy;
    }
}
