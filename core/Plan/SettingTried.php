<?php

declare(strict_types=1);

namespace Lustrum\Core\Plan;

use Lustrum\Core\Setting\SettingResult;

/** A run that tried a setting, and where it stood. */
final readonly class SettingTried
{
    /**
     * @param string             $text   as it was set
     * @param float|null         $value  in the unit of the setting; null where nobody said, or it cannot be read
     * @param SettingResult|null $result null where nobody said
     */
    public function __construct(
        public string $run,
        public int $number,
        public string $text,
        public ?float $value,
        public ?SettingResult $result,
    ) {
    }
}
