<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Weigh;

use Lustrum\Core\Judging\Rung;
use Lustrum\Core\Wording\OutcomeWords;

/** A level, on both builds. */
final readonly class RungRow
{
    /**
     * @param string|null $other held of tried; null where that build was not tried on it
     * @param bool        $failedThere did anything fail on it there?
     */
    private function __construct(
        public string $level,
        public ?string $other,
        public bool $failedThere,
        public ?string $here,
        public bool $failedHere,
    ) {
    }

    public static function of(string $level, ?Rung $other, ?Rung $here): self
    {
        $text = static fn (?Rung $r): ?string => $r === null ? null : OutcomeWords::rung($r);
        $failed = static fn (?Rung $r): bool => $r !== null && $r->held < $r->tried;

        return new self($level, $text($other), $failed($other), $text($here), $failed($here));
    }
}
