<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

/** What a run says to a question of its method. */
enum Answer: string
{
    case Held = 'held';
    /** It held, and something nearly happened: it counts as held, and stands with the open failures until explained. */
    case OnlyJust = 'onlyJust';
    case Failed = 'failed';
    case NotLooked = 'notLooked';

    /** Null where nobody looked. */
    public function held(): ?bool
    {
        return match ($this) {
            self::Held, self::OnlyJust => true,
            self::Failed => false,
            self::NotLooked => null,
        };
    }
}
