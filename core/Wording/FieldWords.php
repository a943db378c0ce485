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
