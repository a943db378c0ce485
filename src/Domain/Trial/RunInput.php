<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Core\Run\ArticleState;
use Lustrum\Core\Run\Ended;
use Lustrum\Core\Run\Purpose;
use Lustrum\Core\Run\RunOutcome;
use Lustrum\Core\Setting\SettingResult;
use Lustrum\Record\RecordInput;
use Lustrum\Shared\Choices;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Note;
use Lustrum\Shared\Version;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class RunInput implements RecordInput
{
    /**
     * @param string|null $startedAt  RFC 3339; now where not given
     * @param list<Found> $conditions
     * @param list<Found> $settings
     * @param list<Found> $levels     of factors and blocks
     * @param list<Answered> $answers to questions of the method; empty: the outcome answers all of them
     * @param string      $firmware   at this run; empty: that of the build. It is frozen when the run begins
     * @param string      $state      of what was tried without an article: a mock-up, a model, the real thing; empty: nobody said. It is
     *     frozen when the run begins
     * @param list<string> $lookedFor modes of failure that were looked for and did not appear
     * @param list<Found> $others     other articles that it used: part => serial
     * @param string      $person     who used it, where that is not the operator
     * @param int|null    $goes       that lay behind that person
     * @param string      $differs    in what they differ from the users of the brief
     * @param string      $setAside   why it says nothing of the design; empty: it does
     * @param SignOff|null $ahead     who begins it although something that must have held before has not, and why; frozen with it
     * @param SettingResult|null $stands where the setting stood that its trial is to find
     * @param list<Found> $forecast  what its readings are expected to be, by channel; it is locked with the first reading
     * @param string|null $clockAt   RFC 3339: when its clock was started; null: nobody started one
     * @param float|null  $lasted    seconds by that clock; null: it was not stopped
     * @param string|null $foundAt   RFC 3339: when its settings were looked at; null: when it began
     * @param float|null  $clockAhead seconds that the clock of the device was ahead when it began; its times are put right already
     * @param bool        $inFuture   somebody was asked, and it does begin later than now
     * @param list<LoggedFailure> $failures that are logged with it, in one write
     * @param bool        $takenIn    it counts although a confirmed cause would set it aside
     */
    public function __construct(
        #[Identifier]
        public string $trial,
        #[Identifier]
        public ?string $article = null,
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $operator = '',
        #[Assert\Length(max: 40, maxMessage: 'At most {{ limit }} characters.')]
        public ?string $startedAt = null,
        #[Assert\Valid]
        #[Assert\Count(max: Limit::LIST, maxMessage: 'At most {{ limit }} conditions.')]
        public array $conditions = [],
        #[Assert\Valid]
        #[Assert\Count(max: Limit::LIST, maxMessage: 'At most {{ limit }} settings.')]
        public array $settings = [],
        #[Assert\Valid]
        #[Assert\Count(max: Limit::LIST, maxMessage: 'At most {{ limit }} levels.')]
        public array $levels = [],
        #[Note]
        public string $note = '',
        public ?RunOutcome $outcome = null,
        #[Note]
        public string $outcomeReason = '',
        public ?Ended $ended = null,
        #[Assert\Valid]
        #[Assert\Count(max: Limit::LIST, maxMessage: 'At most {{ limit }} answers.')]
        public array $answers = [],
        public Purpose $purpose = Purpose::FindOut,
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $firmware = '',
        #[Choices]
        public array $lookedFor = [],
        #[Assert\Valid]
        #[Assert\Count(max: 12, maxMessage: 'At most {{ limit }} other articles.')]
        public array $others = [],
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $person = '',
        #[Assert\Range(notInRangeMessage: 'Between 0 and 100,000.', min: 0, max: 100000)]
        public ?int $goes = null,
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $differs = '',
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $setAside = '',
        public bool $takenIn = false,
        #[Assert\Valid]
        public ?SignOff $ahead = null,
        public ?SettingResult $stands = null,
        #[Assert\Valid]
        #[Assert\Count(max: Limit::LIST, maxMessage: 'At most {{ limit }} forecasts.')]
        public array $forecast = [],
        #[Assert\Length(max: 40, maxMessage: 'At most {{ limit }} characters.')]
        public ?string $clockAt = null,
        #[Assert\Range(notInRangeMessage: 'Between nought and a hundred days.', min: 0, max: 8640000)]
        public ?float $lasted = null,
        #[Assert\Length(max: 40, maxMessage: 'At most {{ limit }} characters.')]
        public ?string $foundAt = null,
        #[Assert\Range(notInRangeMessage: 'A clock is at most a hundred years off.', min: -3.2e9, max: 3.2e9)]
        public ?float $clockAhead = null,
        public bool $inFuture = false,
        #[Assert\Valid]
        #[Assert\Count(max: 12, maxMessage: 'At most {{ limit }} failures.')]
        public array $failures = [],
        #[Assert\Choice(
            choices: ['', ...ArticleState::ALL], message: 'One of the given choices is wanted here.',
        )]
        public string $state = '',
        #[Version]
        public ?int $version = null,
    ) {
    }
}
