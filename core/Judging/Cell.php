<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Evidence\Assessment;
use Lustrum\Core\Evidence\Carry;
use Lustrum\Core\Evidence\State;
use Lustrum\Core\Evidence\Texture;

/** What is shown of one requirement on one build, in numbers. */
final readonly class Cell
{
    /**
     * @param Build       $source   whose runs these are; the build itself, or the earlier one they are carried over from
     * @param bool        $share    estimate and bound are shares and are shown in per cent
     * @param Figure|null $estimate in the unit of the requirement, a share in per cent
     * @param Carry|null  $carry    set where the runs are an earlier build's
     * @param list<Difference> $differs edits of the build since its runs were made, that touch this requirement
     * @param int         $runs     that it stands on, bounds and lost ones included
     * @param string      $level    that it stands or falls by, as it is said: its worst; empty where there is one without levels
     * @param Notes       $notes    what stands beside its number
     * @param int         $outside  values and bounds of it beyond the limit
     * @param float|null  $reached  with nothing but bounds that stop short of the limit: the farthest, in the unit of the requirement
     * @param array<string, State> $members each of a family for itself
     * @param string      $member   of them, that it stands or falls by
     * @param string      $moduleMetric that its runs read
     * @param string      $module   whose evidence it is: 'Gate C'; empty: its own
     * @param array<string, State> $arms   each arm for itself, where none is chosen
     * @param array<string, State> $states of all levels, where there are several
     */
    public function __construct(
        public Wanted $wanted,
        public Build $build,
        public Build $source,
        public Assessment $assessment,
        public State $state,
        public Texture $texture,
        public bool $share,
        public ?Figure $estimate,
        public ?float $bound,
        public ?Carry $carry,
        public array $differs,
        public int $runs,
        public string $level = '',
        public array $states = [],
        public array $arms = [],
        public ?Terms $terms = null,
        public Notes $notes = new Notes(),
        public array $members = [],
        public string $member = '',
        public string $module = '',
        public string $moduleMetric = '',
        public int $outside = 0,
        public ?float $reached = null,
    ) {
    }

    /** Is what is known of it of an earlier state alone? */
    public function isOlder(): bool
    {
        return $this->differs !== [] || ($this->carry !== null && !$this->carry->carried);
    }

    /** Was it tried, and yet says nothing: otherwise than asked, or not far enough? */
    public function isOtherwise(): bool
    {
        return $this->state === State::None && !$this->isOlder() && $this->arms === []
            && ($this->runs > 0 || $this->notes->otherwise !== []);
    }

    public function isUntried(): bool
    {
        return $this->state === State::None && !$this->isOlder() && !$this->isOtherwise();
    }

    /** What a module shows, as what the device that carries it shows by it. */
    public function carriedBy(Wanted $wanted, Build $build, string $module): self
    {
        return new self(
            $wanted, $build, $this->source, $this->assessment, $this->state, $this->texture, $this->share, $this->estimate, $this->bound,
            $this->carry, $this->differs, $this->runs, $this->level, $this->states, $this->arms, $this->terms, $this->notes,
            $this->members, $this->member, $module, $this->moduleMetric !== '' ? $this->moduleMetric : $this->wanted->metric,
            $this->outside, $this->reached,
        );
    }
}
