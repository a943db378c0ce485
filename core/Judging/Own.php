<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Evidence\State;

/** What the runs made on one build say of one requirement, before anything is carried over from elsewhere. */
final readonly class Own
{
    /**
     * @param ByCell           $by         of the runs made with the build as it is written down now
     * @param int              $decimals   that the values were measured to
     * @param int              $runs       that it stands on, bounds and lost ones included
     * @param ByCell|null      $older      of runs made before the build was edited; null where there are none
     * @param Notes            $notes      beside the runs made with the build as it is, and beside the older ones
     * @param Terms|null       $terms      on which it was judged; null: plain ones
     * @param array<string, State> $arms   each for itself, where the build has arms and none is chosen
     * @param array<string, State> $members each for itself, of a family that stays
     * @param string           $member     of them, that it stands or falls by
     * @param list<Difference> $differs    between those runs and the build as it is now
     */
    public function __construct(
        public ByCell $by,
        public int $decimals,
        public int $runs,
        public ?ByCell $older = null,
        public int $olderDecimals = 0,
        public int $olderRuns = 0,
        public array $differs = [],
        public array $arms = [],
        public ?Terms $terms = null,
        public Notes $notes = new Notes(),
        public array $members = [],
        public string $member = '',
        public Notes $olderNotes = new Notes(),
    ) {
    }
}
