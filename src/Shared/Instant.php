<?php

declare(strict_types=1);

namespace Lustrum\Shared;

use Lustrum\Shared\Refusal\Invalid;

/** Moments as people and files send them: RFC 3339, within the years that a record can be of. */
final class Instant
{
    private const PATTERN = '/^\d{4}-\d{2}-\d{2}[Tt ]\d{2}:\d{2}:\d{2}(\.\d{1,9})?([Zz]|[+-]\d{2}:?\d{2})$/';

    /** @throws Invalid at $path */
    public static function read(string $text, string $path): \DateTimeImmutable
    {
        if (preg_match(self::PATTERN, $text) !== 1) {
            throw Invalid::at($path, 'This is not a date and time, such as 2026-03-02T14:30:00Z.');
        }
        try {
            $moment = new \DateTimeImmutable($text);
        } catch (\Exception) {
            throw Invalid::at($path, 'There is no such date and time.');
        }
        // 30 February would otherwise be read as 2 March.
        if (date_parse($text)['warning_count'] > 0) {
            throw Invalid::at($path, 'There is no such date and time.');
        }
        $year = (int) $moment->format('Y');
        if ($year < Limit::FIRST_YEAR || $year > Limit::LAST_YEAR) {
            throw Invalid::at($path, sprintf('The year lies between %d and %d.', Limit::FIRST_YEAR, Limit::LAST_YEAR));
        }

        return $moment;
    }

    /** As it is shown and exported. */
    public static function write(\DateTimeImmutable $moment): string
    {
        return $moment->format($moment->format('u') === '000000' ? 'Y-m-d\TH:i:sP' : 'Y-m-d\TH:i:s.uP');
    }
}
