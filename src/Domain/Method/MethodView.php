<?php

declare(strict_types=1);

namespace Lustrum\Domain\Method;

use Lustrum\Core\Run\Condition;
use Lustrum\Core\Run\SettingRule;

final readonly class MethodView
{
    /**
     * @param list<ChannelView> $channels
     * @param list<Condition>   $conditions
     * @param list<SettingRule> $settings
     */
    public function __construct(
        public string $id,
        public int $version,
        public string $device,
        public string $name,
        public string $purpose,
        public string $rig,
        public string $heldWhen,
        public string $endPoint,
        public string $notRepresented,
        public string $outcomeMetric,
        public float $minutes,
        public array $channels,
        public array $conditions,
        public array $settings,
        public Safety $safety,
    ) {
    }
}
