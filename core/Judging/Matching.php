<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Alike\CellDifference;
use Lustrum\Core\Alike\Per;

/** What of two sides was opposed to what, and what had no counterpart. */
final readonly class Matching
{
    /** So many pairs are listed; how many there are is said. */
    public const MOST = 60;

    /**
     * @param Per|null             $per       over what the interval goes; null where nothing was opposed
     * @param int                  $pairs     levels, or blocks within them, that both sides have
     * @param list<CellDifference> $cells     a: the other side, b: this one; none where there are no levels
     * @param list<string>         $against   levels at which the difference goes the other way
     * @param list<string>         $onlyHere  without a counterpart
     * @param list<string>         $onlyOther
     * @param list<string>         $blocks    that pair the runs
     * @param string               $article   serial, where one article stands for this side
     * @param string               $otherArticle
     * @param list<Pair>           $table     of pairs; MOST of them
     * @param bool|null            $known      did what was known of the method's repeats go into it? null: these spread farther than it
     * @param bool                 $sizeVaries does the size of the difference hang on the level?
     */
    private function __construct(
        public ?Per $per,
        public int $pairs,
        public array $cells,
        public array $against,
        public array $onlyHere,
        public array $onlyOther,
        public array $blocks,
        public string $article,
        public string $otherArticle,
        public bool $sizeVaries,
        public array $table,
        public ?bool $known = false,
    ) {
    }

    public static function of(Opposed $opposed, float $confidence): self
    {
        $w = $opposed->within;
        $one = static fn (array $articles): string => count($articles) === 1 ? $articles[0] : '';
        $p = $w?->interaction?->p;

        return new self(
            $w?->per, $w->pairs ?? 0, $opposed->cells(), $opposed->opposed(),
            $w === null ? $opposed->levels('b') : $opposed->said($w->onlyB),
            $w === null ? $opposed->levels('a') : $opposed->said($w->onlyA), $opposed->pairing->blocks,
            $one($opposed->pairing->articles('b')),
            $one($opposed->pairing->articles('a')), $p !== null && $p < 1 - $confidence, array_slice($opposed->pairs(), 0, self::MOST),
            $w?->wider === true ? null : $w?->known === true,
        );
    }
}
