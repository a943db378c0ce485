<?php

declare(strict_types=1);

namespace Lustrum\Action\Read;

use Lustrum\Core\Run\Channel;
use Lustrum\Core\Wording\ReadingWords;
use Lustrum\Domain\Trial\Said;
use Lustrum\Shared\Measure;

/** How a typed reading would be kept: as typed, and in the unit of the channel. */
final readonly class ReadingPreview
{
    /**
     * @param string         $taken     what it is taken as, where it is more than a value
     * @param list<AskedBack> $questions
     */
    private function __construct(
        public string $typed,
        public string $inChannelUnit,
        public bool $converted,
        public string $taken,
        public array $questions,
    ) {
    }

    /** @param list<AskedBack> $questions */
    public static function of(Said $said, Channel $channel, array $questions): self
    {
        $typed = $said->quantity;

        return new self(
            Measure::of($typed)->view()->said($said->words)->text, Measure::of($typed->to($channel->unit))->view()->text,
            $typed->unit->symbol !== $channel->unit, ReadingWords::said($said->bound, $said->u, $typed), $questions,
        );
    }
}
