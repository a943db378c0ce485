<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Alike\AlikeRuns;
use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Run\Alikeness;

/** What runs that are alike say on one side of a comparison. */
final readonly class Sided
{
    /**
     * @param 'a'|'b'     $side    a: what is compared with; b: what is compared
     * @param string      $article serial; empty: nobody said which
     * @param list<float> $values  of held and failed: 1 and 0
     * @param list<float> $atLeast
     * @param list<float> $atMost
     * @param Bunch|null  $bunch   that they come from
     * @param Circumstances|null $from under which they were made, where they come from no bunch
     */
    public function __construct(
        public string $side,
        public Alikeness $alike,
        public string $article,
        public array $values,
        public array $atLeast = [],
        public array $atMost = [],
        public ?Bunch $bunch = null,
        public ?Circumstances $from = null,
    ) {
    }

    /**
     * The same as runs that may be put together: its values, and each kind of bound for itself.
     *
     * @return list<AlikeRuns>
     */
    public function runs(string $side, string $cell, ?string $block): array
    {
        $out = [];
        foreach ([
            [$this->values, ResultKind::Equal], [$this->atLeast, ResultKind::AtLeast], [$this->atMost, ResultKind::AtMost],
        ] as [$values, $kind]) {
            if ($values !== []) {
                $out[] = new AlikeRuns($side, $cell, $values, $block, $this->article === '' ? null : $this->article, $kind);
            }
        }

        return $out;
    }
}
