<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Failure\FailureStatus;
use Lustrum\Core\Failure\Standing;

/** Where the failures of one build stand, with the modes of all builds beside them. */
final readonly class Standings
{
    /**
     * @param list<Mode>                   $modes    most frequent first
     * @param array<string, FailureStatus> $statuses by failure
     * @param array<string, string>        $levels   by failure, as they are said; empty where none are known
     * @param array{mode: string, status: FailureStatus}|null $cameBack a failure of this build that came back on a later one
     * @param list<string>                 $dangers  modes of dangerous failures of this build that nothing has closed
     * @param array{followed: int, aside: int, feared: int} $others failures of this build that are no first ones of its design
     * @param array<string, list<OutsideBound>> $outside by failure: what articles came through outside trials without it
     */
    private function __construct(
        public array $modes,
        private array $statuses,
        private array $levels,
        public ?array $cameBack,
        public array $dangers,
        private array $outside,
        public array $others,
    ) {
    }

    public static function of(Failures $failures, string $build): self
    {
        $statuses = $levels = $outside = [];
        $others = ['followed' => 0, 'aside' => 0, 'feared' => 0];
        $cameBack = null;
        foreach ($failures->on($build) as $failure) {
            $status = $statuses[$failure->id] = $failures->status($failure);
            $at = $failure->severity?->text() ?? '';
            $what = match (true) {
                $failure->isFeared => 'feared',
                $failure->aside !== '' => 'aside',
                $failure->isConsequence => 'followed',
                default => null,
            };
            $others = $what === null ? $others : [$what => $others[$what] + 1] + $others;
            $levels += $at === '' ? [] : [$failure->id => $at];
            $outside[$failure->id] = $failures->outside($failure);
            if ($status->standing === Standing::CameBack) {
                $cameBack ??= ['mode' => $failure->mode, 'status' => $status];
            }
        }

        return new self($failures->modes(), $statuses, $levels, $cameBack, $failures->openDangers($build), array_filter($outside), $others);
    }

    public function status(string $failure): FailureStatus
    {
        return $this->statuses[$failure] ?? new FailureStatus(Standing::Open);
    }

    /** @return list<OutsideBound> */
    public function outside(string $failure): array
    {
        return $this->outside[$failure] ?? [];
    }

    public function levels(string $failure): string
    {
        return $this->levels[$failure] ?? '';
    }
}
