<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Footing\FootingCheck;

/** A metric that is shown by whether runs hold: shares against each other, and the ladder of each build, in numbers. */
final readonly class OutcomeComparison
{
    /**
     * @param string                                   $metric     identifier
     * @param AlikeShares|null                         $alike      where both were tried
     * @param Figure|null                              $difference in points
     * @param FootingCheck|null                        $footing    of the runs at levels that both were tried at
     * @param array<string, Changed>                   $changed    runs that are not in it, by letter
     * @param list<Bearing>                             $bearing    differences that bear on it until somebody says otherwise
     * @param 'bothPass'|'more'|'less'|'indistinct'|'unmatched'|'' $verdict    empty where the other build was not tried;
     *     unmatched: it was not tried at any level that this one was tried at
     */
    public function __construct(
        public string $metric,
        public OutcomeSide $here,
        public ?OutcomeSide $other,
        public ?AlikeShares $alike,
        public ?Figure $difference,
        public ?float $p,
        public string $verdict,
        public Terms $terms,
        public ?FootingCheck $footing = null,
        public array $changed = [],
        public array $bearing = [],
    ) {
    }
}
