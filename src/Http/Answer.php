<?php

declare(strict_types=1);

namespace Lustrum\Http;

use Lustrum\Record\Written;
use Symfony\Component\HttpFoundation\JsonResponse;

/** What a write answers with: the record as it is now, and in a header which sheets it made stale. */
final class Answer
{
    public const STALE = 'X-Stale';

    public static function written(Written $written): JsonResponse
    {
        return new JsonResponse($written->view, $written->new ? 201 : 200, [self::STALE => implode(' ', $written->stale)]);
    }

    /**
     * What a request came to that wrote many records, or none.
     *
     * @param list<string> $stale
     */
    public static function of(object $view, array $stale = []): JsonResponse
    {
        return new JsonResponse($view, 200, [self::STALE => implode(' ', $stale)]);
    }
}
