<?php

declare(strict_types=1);

namespace Lustrum\Domain\Method;

use Lustrum\Core\Run\Condition;
use Lustrum\Core\Run\Factor;
use Lustrum\Core\Run\SettingRule;

final readonly class MethodView
{
    /**
     * @param list<ChannelView> $channels
     * @param list<Condition>   $conditions
     * @param list<SettingRule> $settings
     * @param list<Factor>      $factors
     * @param list<QuestionView> $questions
     * @param list<string>      $modes
     * @param list<string>      $represents
     * @param list<string>      $steps      identifiers of steps of use
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
        public float $minutes,
        public array $channels,
        public array $conditions,
        public array $settings,
        public array $factors,
        public array $questions,
        public array $modes,
        public bool $wears,
        public array $represents,
        public array $steps,
        public bool $inUse,
        public Safety $safety,
    ) {
    }
}
