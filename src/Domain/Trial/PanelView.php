<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

/** A panel as those know it who prepare it; raters get none of this. */
final readonly class PanelView
{
    /**
     * @param list<string>     $serials
     * @param list<string>     $raters
     * @param list<PanelScale> $scales
     * @param SignOff|null     $unblinded who looked which code is which, and when; null: nobody yet
     */
    public function __construct(
        public string $id,
        public int $version,
        public string $trial,
        public array $serials,
        public array $raters,
        public int $seed,
        public array $scales,
        public bool $prefers,
        public string $guess,
        public string $right,
        public ?SignOff $unblinded,
        public string $by,
        public string $at,
    ) {
    }
}
