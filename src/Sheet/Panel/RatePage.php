<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Panel;

/** What a rater sees: codes and questions, and nothing of what stands behind them or was said before. */
final readonly class RatePage
{
    /**
     * @param list<string>    $raters who still have something to rate
     * @param string          $rater  whose turn it is; empty: nobody was chosen
     * @param string          $code   that is rated now; empty: this rater has rated all
     * @param int             $place  in which it is served
     * @param string          $before the code served before it, to be held against; empty: none, or nobody asks
     * @param list<RateScale> $scales
     * @param string          $guess  asked with the last one; empty: not now
     * @param list<string>    $codes  among which to guess
     */
    public function __construct(
        public string $panel,
        public array $raters,
        public string $rater,
        public string $code,
        public int $place,
        public int $of,
        public string $before,
        public array $scales,
        public string $guess,
        public array $codes,
    ) {
    }
}
