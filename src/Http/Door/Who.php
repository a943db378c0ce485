<?php

declare(strict_types=1);

namespace Lustrum\Http\Door;

/** Who may ask at an address. Of which workspace somebody is a reader, writer or lead is looked at where the record is found. */
enum Who: string
{
    case Anyone = 'anyone';
    /** Somebody who is signed in, about what is their own or nobody's. */
    case SignedIn = 'signedIn';
    case Reader = 'reader';
    case Writer = 'writer';
    case Lead = 'lead';
}
