<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Core\Plan\Layout;
use Lustrum\Core\Plan\LeftOut;
use Lustrum\Core\Plan\Order;
use Lustrum\Core\Plan\PlanKind;
use Lustrum\Shared\Choices;
use Lustrum\Shared\Limit;
use Symfony\Component\Validator\Constraints as Assert;

/** A plan as it is typed. */
final readonly class LayoutInput
{
    /**
     * @param list<LevelsInput>  $levels  of each factor that is laid out
     * @param list<string>       $arms    variants within the build
     * @param list<LeftOutInput> $leftOut
     * @param float              $minutes that a run lasts, where its time is planned
     * @param string             $setting that is being found, where it goes so
     */
    public function __construct(
        public PlanKind $kind = PlanKind::Free,
        #[Assert\Valid]
        #[Assert\Count(max: Limit::LIST, maxMessage: 'At most {{ limit }} factors.')]
        public array $levels = [],
        #[Choices]
        public array $arms = [],
        #[Assert\Range(notInRangeMessage: 'Between 1 and 100 repeats.', min: 1, max: 100)]
        public int $repeats = 1,
        public Order $order = Order::AsGiven,
        #[Assert\Range(notInRangeMessage: 'A whole number up to 2,147,483,647.', min: 0, max: Limit::WHOLE)]
        public int $seed = 1,
        #[Assert\Valid]
        #[Assert\Count(max: 500, maxMessage: 'At most {{ limit }} cells.')]
        public array $leftOut = [],
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $setting = '',
        #[Assert\Range(notInRangeMessage: 'Between nought and 10,000 minutes.', min: 0, max: 1e4)]
        public float $minutes = 0.0,
    ) {
    }

    public function layout(): Layout
    {
        $levels = [];
        foreach ($this->levels as $of) {
            $named = array_values(array_filter(array_map(trim(...), $of->levels), static fn (string $l): bool => $l !== ''));
            $levels += $named === [] ? [] : [trim($of->name) => $named];
        }

        return new Layout(
            $this->kind, $levels, $this->arms, $this->repeats, $this->order, $this->seed,
            array_map(static fn (LeftOutInput $l): LeftOut => $l->leftOut(), $this->leftOut),
            trim($this->setting), $this->kind === PlanKind::Timed ? $this->minutes : 0.0,
        );
    }
}
