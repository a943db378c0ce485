<?php

declare(strict_types=1);

namespace Lustrum\Core\Alike;

use Lustrum\Core\Outcome\ResultKind;

/** One value of one side, with what it may be put together with. */
final readonly class AlikeRun
{
    private string $stratum;

    /**
     * @param string      $side    the name of what is compared: a build, an arm, an article, a lot, a setting
     * @param string      $cell    levels of all factors, as one word
     * @param string|null $block   what pairs belong together by; null where nothing pairs them
     * @param string|null $article that was tried; null: the run stands for itself
     * @param ResultKind  $kind    a value, or a bound of one
     */
    public function __construct(
        public string $side,
        public string $cell,
        public float $value,
        public ?string $block = null,
        public ?string $article = null,
        public ResultKind $kind = ResultKind::Equal,
    ) {
        $this->stratum = $block === null ? $cell : $cell."\x1f".$block;
    }

    public function stratum(): string
    {
        return $this->stratum;
    }
}
