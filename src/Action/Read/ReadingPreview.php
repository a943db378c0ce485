<?php

declare(strict_types=1);

namespace Lustrum\Action\Read;

use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Run\Channel;
use Lustrum\Core\Wording\ReadingWords;
use Lustrum\Domain\Trial\Deciding;
use Lustrum\Domain\Trial\Said;
use Lustrum\Shared\AskedBack;
use Lustrum\Shared\Measure;

/** How a typed reading would be kept: as typed, and in the unit of the channel. */
final readonly class ReadingPreview
{
    /** So many units are named beside a number that has none. */
    private const SHOWN = 4;

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
        if ($said->undecided) {
            $choices = Deciding::choices($typed->value, $typed->resolution, $channel->unit);

            return new self($said->words, '', false, ReadingWords::undecided(array_map(
                static fn (Deciding $d): string => $d->sentence, array_slice($choices, 0, self::SHOWN),
            )), $questions);
        }

        return new self(
            Measure::of($typed)->view()->said($said->words)->text,
            $typed->unit->symbol === $channel->unit ? Measure::of($typed)->view()->text : Digits::converted($typed->to($channel->unit)),
            $typed->unit->symbol !== $channel->unit, ReadingWords::said($said->bound, $said->u, $typed), $questions,
        );
    }
}
