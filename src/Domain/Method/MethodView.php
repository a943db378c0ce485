<?php

declare(strict_types=1);

namespace Lustrum\Domain\Method;

use Lustrum\Core\Run\Amount;
use Lustrum\Core\Run\Condition;
use Lustrum\Core\Run\Constant;
use Lustrum\Core\Run\Factor;
use Lustrum\Core\Run\LookOut;
use Lustrum\Core\Run\SettingRule;
use Lustrum\Core\Run\UsedUp;
use Lustrum\Core\Run\Wait;

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
     * @param int               $edition    that runs are made with: another one where results before and after are not simply alike
     * @param list<Constant>    $constants
     * @param list<string>      $tools
     * @param string|null       $use        identifier
     * @param list<Amount>      $carries
     * @param list<HeldBeforeView> $before
     * @param list<Wait>        $ready
     * @param list<LookOut>     $looks
     * @param list<UsedUp>      $usesUp
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
        public int $edition,
        public array $constants,
        public array $tools,
        public string $reference,
        public float $setUpMinutes,
        public float $resetMinutes,
        public float $changeMinutes,
        public ?string $use,
        public array $carries,
        public array $before,
        public array $ready,
        public array $looks,
        public array $usesUp,
    ) {
    }
}
