<?php

declare(strict_types=1);

namespace Lustrum\Core\Quantity;

use Lustrum\Core\CoreException;

/** A text that does not hold one readable number. */
final class InvalidNumber extends CoreException
{
    public static function unreadable(string $text): self
    {
        return new self(
            'number.invalid', sprintf('“%s” does not begin with a number. Write it as in “12.5 N”.', mb_substr($text, 0, 40)), 'text',
        );
    }

    public static function empty(): self
    {
        return new self('number.invalid', 'Nothing was typed. Write a number and its unit, as in “12.5 N”.', 'text');
    }

    public static function ambiguous(string $text): self
    {
        return new self(
            'number.ambiguous', sprintf('“%s” can be read in two ways. Write 1234 or 1.234, without a comma.', mb_substr($text, 0, 40)),
            'text',
        );
    }

    public static function backwards(string $text): self
    {
        return new self('number.invalid', sprintf('“%s” runs backwards: write the smaller end first.', mb_substr($text, 0, 40)), 'text');
    }

    public static function boundOfRange(string $text): self
    {
        return new self('number.invalid', sprintf('“%s” is both a bound and a range: write one of them.', mb_substr($text, 0, 40)), 'text');
    }

    public static function negativeUncertainty(string $text): self
    {
        return new self('number.invalid', sprintf('The ± in “%s” is below nought.', mb_substr($text, 0, 40)), 'text');
    }

    public static function tooLarge(string $text): self
    {
        return new self('number.invalid', sprintf('“%s” is larger than can be kept (1e300 at most).', mb_substr($text, 0, 40)), 'text');
    }
}
