<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Weigh;

use Lustrum\Core\Footing\Difference;
use Lustrum\Core\Footing\Footing;
use Lustrum\Core\Footing\FootingCheck;
use Lustrum\Core\Wording\FootingWords;

final readonly class FootingView
{
    /** @param list<FootingDifference> $differences gravest first */
    private function __construct(
        public Footing $footing,
        public string $sentence,
        public array $differences,
    ) {
    }

    public static function of(FootingCheck $check): self
    {
        return new self($check->footing, FootingWords::sentence($check->footing, $check->differences), array_map(
            static fn (Difference $d): FootingDifference => new FootingDifference(
                $d->what, $d->a, $d->b, $d->weight, FootingWords::why($d),
            ),
            $check->differences,
        ));
    }
}
