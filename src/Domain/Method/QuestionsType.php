<?php

declare(strict_types=1);

namespace Lustrum\Domain\Method;

use Lustrum\Core\Run\Question;
use Lustrum\Core\Run\Row;
use Lustrum\Shared\Doctrine\ValueType;

final class QuestionsType extends ValueType
{
    public const NAME = 'questions';

    protected function read(array $stored): mixed
    {
        return array_map(Question::fromRow(...), Row::rows($stored));
    }
}
