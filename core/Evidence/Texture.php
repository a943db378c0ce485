<?php

declare(strict_types=1);

namespace Lustrum\Core\Evidence;

/** How evidence is drawn, everywhere the same. */
enum Texture: string
{
    /** Not yet tried, or only claimed. */
    case Outline = 'outline';
    /** One or two runs. */
    case Sparse = 'sparse';
    /** Leaning: on the right side, but not sure; or sure, with conditions not covered. */
    case Dense = 'dense';
    case Solid = 'solid';
    /** Carried over from an earlier revision. */
    case Dotted = 'dotted';
    /** Carried over, and it spoke against. */
    case DottedBroken = 'dottedBroken';
    /** On the wrong side, not sure: dense hatch with a break. */
    case DenseBroken = 'denseBroken';
    /** Shown NOT to meet: solid with a break. */
    case Broken = 'broken';

    public static function of(Assessment $assessment, bool $carried = false): self
    {
        return match (true) {
            $assessment->state === State::None => self::Outline,
            $carried => $assessment->state->isWrong() ? self::DottedBroken : self::Dotted,
            $assessment->state === State::Thin => self::Sparse,
            $assessment->state === State::Leaning => self::Dense,
            $assessment->state === State::Shown => self::Solid,
            $assessment->state === State::Doubtful => self::DenseBroken,
            default => self::Broken,
        };
    }
}
