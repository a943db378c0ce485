<?php

declare(strict_types=1);

namespace Lustrum\Action\Read;

use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Run\Channel;
use Lustrum\Shared\Measure;

/** How a typed reading would be kept: as typed, and in the unit of the channel. */
final readonly class ReadingPreview
{
    /** @param list<Question> $questions */
    private function __construct(
        public string $typed,
        public string $inChannelUnit,
        public bool $converted,
        public array $questions,
    ) {
    }

    /** @param list<Question> $questions */
    public static function of(Quantity $typed, Channel $channel, array $questions): self
    {
        return new self(
            Measure::of($typed)->view()->text, Measure::of($typed->to($channel->unit))->view()->text,
            $typed->unit->symbol !== $channel->unit, $questions,
        );
    }
}
