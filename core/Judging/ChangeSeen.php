<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Change\ChangeVerdict;
use Lustrum\Core\Change\Expectation;

/** What came of a change, in numbers: by values of its metric, or by how often runs hold. */
final readonly class ChangeSeen
{
    /**
     * @param Expectation|null $expected on the metric that was looked at; null where none was named
     * @param Figure|null  $seen      difference of means, in the unit of the metric
     * @param int          $n         values on this build; with shares, runs that answered
     * @param int          $nBefore   the same on the parent
     * @param int|null     $held      with shares: of $n; null where it is no share
     * @param Figure|null  $points    with shares: the difference in points; null where all passed on both
     * @param list<string> $together  other changes of this build that were expected to move the same metric
     * @param bool         $ofArticles are $n and $nBefore articles rather than runs?
     * @param bool         $drawnIn   was the earlier mean drawn in, since its runs chose the arm?
     * @param ByOrder|null $order     where results are words: how both sides lie to each other
     * @param Worded|null  $here      what this build came to in words
     * @param Worded|null  $before    the same on the parent
     * @param ''|'unmatched'|'byLevel' $why why nothing can be told: no level was run on both, or it differs by level
     */
    public function __construct(
        public ChangeFact $change,
        public ?Expectation $expected,
        public ChangeVerdict $verdict,
        public ?Figure $seen = null,
        public int $n = 0,
        public int $nBefore = 0,
        public ?int $held = null,
        public int $heldBefore = 0,
        public ?Figure $points = null,
        public array $together = [],
        public string $why = '',
        public Look $look = new Look(),
        public bool $ofArticles = false,
        public bool $drawnIn = false,
        public ?ByOrder $order = null,
        public ?Worded $here = null,
        public ?Worded $before = null,
    ) {
    }
}
