<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

/** What kind of thing an article is; said as one word. */
final class ArticleState
{
    public const MOCKUP = 'mockup';
    public const MODEL = 'model';
    public const FINISHED = 'finished';
    public const BARE = 'bare';
    public const PAYLOAD = 'payload';
    public const ALL = [self::MOCKUP, self::MODEL, self::BARE, self::FINISHED, self::PAYLOAD];

    /** Of a loose part nobody says it: it is the real thing. */
    public static function of(string $said): string
    {
        return $said === '' ? self::FINISHED : $said;
    }

    /** As people say it. */
    public static function said(string $state): string
    {
        return match ($state) {
            self::MOCKUP => 'mock-up',
            self::PAYLOAD => 'payload aboard',
            default => $state,
        };
    }

    /** A mock-up or a model stands for the real thing in some respect, and is not it. */
    public static function isModel(string $state): bool
    {
        return in_array($state, [self::MOCKUP, self::MODEL], true);
    }
}
