<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Core\Plan\Layout;
use Lustrum\Core\Plan\LeftOut;
use Lustrum\Core\Plan\Order;
use Lustrum\Core\Plan\PlanKind;

/** A plan in the shape that a form sends it in. */
final readonly class LayoutView
{
    /**
     * @param list<LevelsInput>  $levels
     * @param list<string>       $arms
     * @param list<LeftOutInput> $leftOut
     */
    private function __construct(
        public PlanKind $kind,
        public array $levels,
        public array $arms,
        public int $repeats,
        public Order $order,
        public int $seed,
        public array $leftOut,
        public string $setting,
        public float $minutes,
    ) {
    }

    public static function of(Layout $l): self
    {
        return new self(
            $l->kind,
            array_map(static fn (string $name, array $of): LevelsInput => new LevelsInput($name, $of), array_keys($l->levels), $l->levels),
            $l->arms, $l->repeats, $l->order, $l->seed, array_map(static fn (LeftOut $c): LeftOutInput => new LeftOutInput(
                array_map(static fn (string $name, string $text): Found => new Found($name, $text), array_keys($c->levels), $c->levels),
                $c->reason, $c->arm,
            ), $l->leftOut), $l->setting, $l->minutes,
        );
    }
}
