<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

/** A panel as it is prepared: nothing of it tells which code is which before it is unblinded. */
final readonly class PanelView
{
    /**
     * @param list<string>     $serials
     * @param list<string>     $raters
     * @param int|null         $seed      of codes and orders; null: it is blind
     * @param string|null      $serves    account of whoever serves
     * @param list<PanelOpening> $opened  leads who had to know before
     * @param list<PanelScale> $scales
     * @param SignOff|null     $unblinded who looked which code is which, and when; null: nobody yet
     */
    public function __construct(
        public string $id,
        public int $version,
        public string $trial,
        public array $serials,
        public array $raters,
        public ?int $seed,
        public ?string $serves,
        public string $servesName,
        public array $opened,
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
