<?php

declare(strict_types=1);

namespace Lustrum\Action\Build;

use Lustrum\Core\Run\Deviation;
use Lustrum\Core\Run\Step;
use Lustrum\Core\Wording\BuildWords;
use Lustrum\Domain\Finding\Failure;
use Lustrum\Domain\Revision\AnsweredView;
use Lustrum\Domain\Revision\StepView;
use Lustrum\Domain\Trial\Run;

/** The steps that were taken on one article while it was of its build. */
final readonly class Taken
{
    /**
     * @param list<Run>                 $made     in their order
     * @param list<Step>                $steps
     * @param list<Deviation>           $now      what it has otherwise
     * @param list<array{Failure, int}> $failures with the place of the run of each
     */
    public function __construct(
        public array $made,
        public array $steps,
        public array $now,
        private array $failures,
    ) {
    }

    /** @return list<StepView> */
    public function views(): array
    {
        return array_map(fn (int $i, Step $s): StepView => new StepView(
            $i + 1, BuildWords::step($s), count($s->runs), array_map(fn (array $of): AnsweredView => new AnsweredView(
                $of[0]->id()->toRfc4122(), $of[0]->mode(), BuildWords::answers($of[0]->mode(), $this->made[$of[1]]->number()),
            ), $this->before($s)),
        ), array_keys($this->steps), $this->steps);
    }

    /** Place of the step that the article is at. */
    public function present(): int
    {
        foreach ($this->steps as $i => $step) {
            $others = array_filter($this->now, static fn (Deviation $d): bool => !$d->isAmong($step->all));
            if (count($step->all) === count($this->now) && $others === []) {
                return $i;
            }
        }
        throw new \LogicException('What the article is like now is a step.');
    }

    /**
     * @param list<string> $answers identifiers of failures that are meant to end
     *
     * @return list<string> those of them that came before this was changed
     */
    public function answered(Deviation $deviation, array $answers): array
    {
        foreach ($this->steps as $step) {
            if ($deviation->isAmong($step->new)) {
                $ids = array_map(static fn (array $of): string => $of[0]->id()->toRfc4122(), $this->before($step));

                return array_values(array_intersect($ids, $answers));
            }
        }

        return [];
    }

    /** @return list<array{Failure, int}> what failed before the first run of a step */
    private function before(Step $step): array
    {
        return array_values(array_filter(
            $this->failures, fn (array $of): bool => $of[1] < ($step->runs[0] ?? count($this->made)),
        ));
    }
}
