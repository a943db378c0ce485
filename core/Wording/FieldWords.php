<?php

declare(strict_types=1);

namespace Lustrum\Core\Wording;

/** What is taken along, in words. */
final class FieldWords
{
    public static function sentence(string $letter, int $trials, int $articles): string
    {
        return Messages::say('field.sentence', ['letter' => $letter, 'trials' => $trials, 'articles' => $articles]);
    }

    /** @param float $seconds that the clock was ahead of the server's; below nought: behind */
    public static function clockAhead(float $seconds): string
    {
        return Messages::say('field.clockAhead', ['ahead' => $seconds > 0, 'by' => Durations::of(abs($seconds))]);
    }

    public static function inFuture(float $seconds): string
    {
        return Messages::say('field.inFuture', ['in' => Durations::of($seconds)]);
    }

    /** @param string|null $agrees who has to agree before a run; empty: anybody; null: everybody has */
    public static function blocked(?string $agrees, bool $lacksLimits): string
    {
        return match (true) {
            $lacksLimits => Messages::say('field.limits'),
            $agrees !== null => Messages::say('field.agrees', ['named' => $agrees !== '', 'who' => $agrees]),
            default => '',
        };
    }
}
