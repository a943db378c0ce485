<?php

declare(strict_types=1);

namespace Lustrum\Core\Evidence;

use Lustrum\Core\Statistics\Natural;
use Lustrum\Core\Statistics\Repeats;

/** What is known of a metric before any of its results: the limits of its scale, how repeats spread, how its values do. */
final readonly class Measure
{
    public function __construct(
        public Natural $natural,
        public Repeats $repeats = new Repeats(),
        public ValueScale $scale = ValueScale::Add,
    ) {
    }

    public static function none(): self
    {
        return new self(Natural::none());
    }

    /** With what is known of the repeats only where they are counted so. */
    public function counted(bool $isOfArticles): self
    {
        return new self($this->natural, $this->repeats->on(false, $isOfArticles), $this->scale);
    }
}
