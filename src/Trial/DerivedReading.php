<?php

declare(strict_types=1);

namespace Lustrum\Trial;

/** A channel that is worked out from others: its value with its standard uncertainty, its formula and its inputs. */
final readonly class DerivedReading
{
    /**
     * @param string|null  $text   value with unit; null where it cannot be worked out yet
     * @param float|null   $value  in the unit of the channel
     * @param float|null   $u      standard uncertainty, in the unit of the channel
     * @param list<string> $inputs as 'pull = 12.5 N'
     * @param string       $why    why there is no value
     */
    public function __construct(
        public string $channel,
        public string $metric,
        public string $formula,
        public ?string $text,
        public ?float $value,
        public ?float $u,
        public array $inputs,
        public string $why,
    ) {
    }
}
