<?php

declare(strict_types=1);

namespace Lustrum\Domain\Decision;

use Lustrum\Shared\Doctrine\ValueType;

final class DecisionRecordType extends ValueType
{
    public const NAME = 'decision_record';

    protected function read(array $stored): mixed
    {
        return DecisionRecord::fromRow($stored);
    }
}
