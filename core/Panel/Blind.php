<?php

declare(strict_types=1);

namespace Lustrum\Core\Panel;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\Statistics\Distribution\Binomial;

/** Did raters know what they rated? As many right guesses as chance seldom gives say that they did (exact binomial). */
final readonly class Blind
{
    private function __construct(
        public int $right,
        public int $guessed,
        public float $chance,
        public float $p,
        public bool $held,
    ) {
    }

    /**
     * @param int   $items      among which each guessed
     * @param float $confidence of the device
     *
     * @throws InvalidInput
     */
    public static function of(int $right, int $guessed, int $items, float $confidence): self
    {
        if ($items < 2 || $guessed < 1 || $right < 0 || $right > $guessed) {
            throw InvalidInput::because('At least one guess among two items is needed.', 'guessed');
        }
        $chance = 1 / $items;
        $p = $right === 0 ? 1.0 : Binomial::atLeast($right, $guessed, $chance);

        return new self($right, $guessed, $chance, $p, $p >= 1 - $confidence);
    }
}
