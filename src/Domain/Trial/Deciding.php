<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Quantity\Units;

/** What a number without a unit would be in one that fits. */
final readonly class Deciding
{
    /** So many are offered; any other may be typed. */
    private const MOST = 8;

    private function __construct(
        public string $unit,
        public string $text,
        public string $sentence,
    ) {
    }

    /**
     * @param string $unit of the channel, which comes first
     *
     * @return list<self>
     */
    public static function choices(float $value, ?float $resolution, string $unit): array
    {
        $wanted = Units::parse($unit);
        $fitting = array_filter(
            Units::symbols(), static fn (string $s): bool => $s !== $unit && Units::parse($s)->dimension->equals($wanted->dimension),
        );

        return array_map(static function (string $symbol) use ($value, $resolution, $unit): self {
            $text = Digits::quantity($value, $resolution, $symbol);
            $shown = Digits::converted(Quantity::of($value, $symbol, $resolution)->to($unit));

            return new self($symbol, $text, $symbol === $unit ? $text : $text.' = '.$shown);
        }, array_slice([$unit, ...$fitting], 0, self::MOST));
    }
}
