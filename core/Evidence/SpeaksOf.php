<?php

declare(strict_types=1);

namespace Lustrum\Core\Evidence;

use Lustrum\Core\Outcome\Result;

/** Of what an estimated mean speaks: of the build, where it was drawn anew as an article; else of what was tried. */
enum SpeaksOf: string
{
    case Articles = 'articles';
    /** All runs are of the same one. */
    case Article = 'article';
    case Runs = 'runs';

    /** @param list<Result> $results those that count */
    public static function of(array $results): self
    {
        $names = array_map(static fn (Result $r): string => $r->article, $results);
        $named = array_diff(array_unique($names), ['']);

        return match (true) {
            count($named) > 1 => self::Articles,
            count($named) === 1 && !in_array('', $names, true) => self::Article,
            default => self::Runs,
        };
    }
}
