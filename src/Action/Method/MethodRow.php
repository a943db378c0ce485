<?php

declare(strict_types=1);

namespace Lustrum\Action\Method;

use Lustrum\Core\Run\Row;
use Lustrum\Domain\Method\Method;

/** A method as a form would send it. */
final class MethodRow
{
    /**
     * @param list<string> $left fields of its view that are left out
     *
     * @return array<string, mixed>
     */
    public static function of(Method $method, array $left): array
    {
        $row = Row::json(json_encode($method->view(), \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION));
        foreach (['channels', 'questions'] as $list) {
            $row[$list] = array_map(
                static fn (array $one): array => array_diff_key($one, ['metricId' => '']), Row::rows($row[$list] ?? []),
            );
        }

        return array_diff_key($row, array_flip($left));
    }
}
