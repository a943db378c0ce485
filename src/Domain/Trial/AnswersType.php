<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Core\Run\Answer;
use Lustrum\Core\Run\Row;
use Lustrum\Shared\Doctrine\ValueType;

final class AnswersType extends ValueType
{
    public const NAME = 'answers';

    protected function read(array $stored): mixed
    {
        return array_map(static fn (array $row): Answered => new Answered(
            Row::text($row['question'] ?? ''), Answer::tryFrom(Row::text($row['answer'] ?? '')) ?? Answer::NotLooked,
            Row::text($row['note'] ?? ''),
        ), Row::rows($stored));
    }
}
