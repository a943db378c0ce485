<?php

declare(strict_types=1);

namespace Lustrum\Domain\Method;

use Lustrum\Core\Run\Row;
use Lustrum\Core\Run\SettingRule;
use Lustrum\Shared\Doctrine\ValueType;

final class SettingRulesType extends ValueType
{
    public const NAME = 'setting_rules';

    protected function read(array $stored): mixed
    {
        return array_map(SettingRule::fromRow(...), Row::rows($stored));
    }
}
