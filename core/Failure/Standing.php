<?php

declare(strict_types=1);

namespace Lustrum\Core\Failure;

/** Where a failure stands. */
enum Standing: string
{
    /** No later build carries a fix. */
    case Open = 'open';
    /** Nobody said with which method and at which level it happened: until then nothing closes it. */
    case Unplaced = 'unplaced';
    /** A fix was made, but nobody has tried it where the failure happened. */
    case FixUntried = 'fixUntried';
    /** It held where it had failed, and not yet often enough. */
    case Holding = 'holding';
    case Closed = 'closed';
    /** Somebody closed it in words, sooner than its holds ask. */
    case ByHand = 'byHand';
    /** It happened again on a build that carries the fix. */
    case CameBack = 'cameBack';
    /** Its cause lies in how it was made or tried; it is set aside, and not put right yet. */
    case SetAside = 'setAside';
    /** Set aside, and it held with that put right. */
    case PutRight = 'putRight';
    /** Feared, and not seen. */
    case Feared = 'feared';

    public function isOpen(): bool
    {
        return !in_array($this, [self::Closed, self::ByHand, self::PutRight, self::Feared], true);
    }
}
