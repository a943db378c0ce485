<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Workings;

use Lustrum\Domain\Trial\Found;

/** A sum, worked out as it stands. */
final readonly class WorkedSheet
{
    /**
     * @param list<AnswerRow>           $answers
     * @param string                    $sentence the answer that counts; empty: there is none yet
     * @param list<Found>               $problems what is wrong, by field
     * @param string                    $problem  what is wrong with none of them in particular
     * @param list<float>               $xs       of the figure: the input
     * @param list<float>               $ys       and the answer
     * @param float|null                $stands   where the input stands
     * @param float|null                $limit    what is wanted of the answer, in its unit
     * @param string                    $axis     of the input, with its unit
     * @param string                    $solved   in a sentence; empty: nothing was to be solved
     * @param string                    $solvedAs what to put into the field for it
     * @param string                    $bought   the nearest that can be bought, and what it gives; empty: it is not bought in steps
     * @param string                    $boughtAs what to put into the field for that
     */
    public function __construct(
        public array $answers,
        public array $problems,
        public string $problem,
        public string $sentence = '',
        public array $xs = [],
        public array $ys = [],
        public ?float $stands = null,
        public ?float $limit = null,
        public string $axis = '',
        public string $solved = '',
        public string $solvedAs = '',
        public string $bought = '',
        public string $boughtAs = '',
    ) {
    }
}
