<?php

declare(strict_types=1);

namespace Lustrum\Domain\Working;

use Lustrum\Core\Quantity\Units;
use Lustrum\Core\Run\Row;
use Lustrum\Shared\Doctrine\ValueType;

final class KeptAnswersType extends ValueType
{
    public const NAME = 'kept_answers';

    protected function read(array $stored): mixed
    {
        return self::of(Row::rows($stored));
    }

    /**
     * @param list<array<string, mixed>> $rows
     *
     * @return list<KeptAnswer> without those that are no number of a unit
     */
    public static function of(array $rows): array
    {
        $out = [];
        foreach ($rows as $row) {
            $value = Row::numberOrNull($row['value'] ?? null);
            if ($value !== null && is_finite($value) && Units::knows(Row::text($row['unit'] ?? ''))) {
                $out[] = new KeptAnswer(
                    $value, Row::text($row['unit'] ?? ''), Row::numberOrNull($row['u'] ?? null),
                    mb_substr(Row::text($row['text'] ?? ''), 0, 120),
                    Row::text($row['at'] ?? ''),
                );
            }
        }

        return $out;
    }
}
