<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Run;

use Lustrum\Core\Run\DerivedReading;
use Lustrum\Core\Wording\ReadingWords;

/** A channel that is worked out from others: its value with its standard uncertainty, its formula and its inputs. */
final readonly class DerivedView
{
    /**
     * @param string|null  $text   value with unit; null where it cannot be worked out yet
     * @param list<string> $inputs as 'pull = 12.5 N'
     * @param string       $why    why there is no value
     */
    private function __construct(
        public string $channel,
        public string $metric,
        public string $formula,
        public ?string $text,
        public array $inputs,
        public string $why,
    ) {
    }

    /** @param list<string> $inputs */
    public static function of(DerivedReading $d, string $metric, array $inputs): self
    {
        return new self($d->channel->key, $metric, $d->channel->formula, ReadingWords::derived($d), $inputs, ReadingWords::whyNot($d));
    }
}
