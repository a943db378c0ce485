<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

/** What kind of thing an article is; said as one word. */
final class ArticleState
{
    public const MOCKUP = 'mockup';
    public const MODEL = 'model';
    public const FINISHED = 'finished';
    public const PAYLOAD = 'payload';

    /** Of a loose part nobody says it: it is the real thing. */
    public static function of(string $said): string
    {
        return $said === '' ? self::FINISHED : $said;
    }

    /** A mock-up or a model stands for the real thing in some respect, and is not it. */
    public static function isModel(string $state): bool
    {
        return in_array($state, [self::MOCKUP, self::MODEL], true);
    }
}
