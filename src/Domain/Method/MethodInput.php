<?php

declare(strict_types=1);

namespace Lustrum\Domain\Method;

use Lustrum\Record\RecordInput;
use Lustrum\Shared\AmountInput;
use Lustrum\Shared\Choices;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Name;
use Lustrum\Shared\Note;
use Lustrum\Shared\Version;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class MethodInput implements RecordInput
{
    /**
     * @param list<ChannelInput> $channels
     * @param list<ConditionInput>   $conditions
     * @param list<SettingRuleInput> $settings
     * @param list<FactorInput>      $factors    varied on purpose, and blocks that pair runs
     * @param list<QuestionInput>    $questions  asked of each run
     * @param list<string>           $modes      of failure to look for on each run
     * @param bool                   $wears      does a run leave its mark on the article?
     * @param list<string>           $steps      identifiers of the steps of use that its runs go through
     * @param bool                   $inUse      it is tried as it will be used: in the field, by whom it is for
     * @param list<string>           $represents names of methods that this one is as good as
     * @param list<ConstantInput>   $constants of the fixture, which formulas take
     * @param list<string>          $tools     to have at hand
     * @param string                $reference serial of an article that is tried first and last, so that drift shows
     * @param string|null           $use       identifier of the use that it rehearses
     * @param list<AmountInput>     $carries   what it carries of it
     * @param list<HeldBeforeInput> $before    what must have held on the same configuration
     * @param list<WaitInput>       $ready     when a run may begin
     * @param list<LookOutInput>    $looks     when to look during a run
     * @param list<UsedUpInput>     $usesUp    what a run uses up
     */
    public function __construct(
        #[Identifier]
        public string $device,
        #[Name]
        public string $name,
        #[Note]
        public string $purpose = '',
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $rig = '',
        #[Note]
        public string $heldWhen = '',
        #[Note]
        public string $endPoint = '',
        #[Note]
        public string $notRepresented = '',
        #[Assert\Range(notInRangeMessage: 'Between 0 and 10,000 minutes.', min: 0, max: 1e4)]
        public float $minutes = 10.0,
        #[Assert\Valid]
        #[Assert\Count(max: Limit::LIST, maxMessage: 'At most {{ limit }} channels.')]
        public array $channels = [],
        #[Assert\Valid]
        #[Assert\Count(max: Limit::LIST, maxMessage: 'At most {{ limit }} conditions.')]
        public array $conditions = [],
        #[Assert\Valid]
        #[Assert\Count(max: Limit::LIST, maxMessage: 'At most {{ limit }} settings.')]
        public array $settings = [],
        #[Assert\Valid]
        #[Assert\Count(max: Limit::LIST, maxMessage: 'At most {{ limit }} factors.')]
        public array $factors = [],
        #[Assert\Valid]
        #[Assert\Count(max: Limit::LIST, maxMessage: 'At most {{ limit }} questions.')]
        public array $questions = [],
        #[Choices]
        public array $modes = [],
        public bool $wears = true,
        #[Choices]
        public array $represents = [],
        #[Choices]
        public array $steps = [],
        public bool $inUse = false,
        #[Assert\Valid]
        #[Assert\Count(max: Limit::LIST, maxMessage: 'At most {{ limit }} constants.')]
        public array $constants = [],
        #[Choices]
        public array $tools = [],
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $reference = '',
        #[Assert\Range(notInRangeMessage: 'Between 0 and 10,000 minutes.', min: 0, max: 1e4)]
        public float $setUpMinutes = 0.0,
        #[Assert\Range(notInRangeMessage: 'Between 0 and 10,000 minutes.', min: 0, max: 1e4)]
        public float $resetMinutes = 0.0,
        #[Assert\Range(notInRangeMessage: 'Between 0 and 10,000 minutes.', min: 0, max: 1e4)]
        public float $changeMinutes = 0.0,
        public ?string $use = null,
        #[Assert\Valid]
        #[Assert\Count(max: Limit::LIST, maxMessage: 'At most {{ limit }} entries.')]
        public array $carries = [],
        #[Assert\Valid]
        #[Assert\Count(max: Limit::LIST, maxMessage: 'At most {{ limit }} entries.')]
        public array $before = [],
        #[Assert\Valid]
        #[Assert\Count(max: Limit::LIST, maxMessage: 'At most {{ limit }} entries.')]
        public array $ready = [],
        #[Assert\Valid]
        #[Assert\Count(max: Limit::LIST, maxMessage: 'At most {{ limit }} entries.')]
        public array $looks = [],
        #[Assert\Valid]
        #[Assert\Count(max: Limit::LIST, maxMessage: 'At most {{ limit }} entries.')]
        public array $usesUp = [],
        #[Assert\Valid]
        public Safety $safety = new Safety(),
        #[Version]
        public ?int $version = null,
    ) {
    }
}
