<?php

declare(strict_types=1);

namespace Lustrum\Weighing;

use Lustrum\Core\Footing\Difference;
use Lustrum\Core\Footing\Footing;
use Lustrum\Core\Footing\FootingCheck;

final readonly class FootingView
{
    /** @param list<FootingDifference> $differences */
    private function __construct(
        public Footing $footing,
        public string $sentence,
        public array $differences,
    ) {
    }

    public static function of(FootingCheck $check): self
    {
        return new self($check->footing, $check->sentence(), array_map(static fn (Difference $d): FootingDifference => new FootingDifference($d->what, $d->a, $d->b, $d->weight, $d->why), $check->differences));
    }
}
