<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Failure\Exposure;
use Lustrum\Core\Run\Severity;

/** Use of an article outside trials, in which some modes would have shown and did not. */
final readonly class OutsideUse
{
    /**
     * @param string        $build    that the article is of
     * @param Severity|null $severity null where nobody said as in which trial
     * @param string        $amount   how long or how often, as it was written
     * @param list<string>  $without  keys of the modes that did not show
     */
    public function __construct(
        public string $build,
        public ?Severity $severity,
        public string $amount,
        public array $without,
    ) {
    }

    public function exposure(): ?Exposure
    {
        return Exposure::read($this->amount);
    }
}
