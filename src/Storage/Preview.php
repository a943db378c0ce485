<?php

declare(strict_types=1);

namespace Lustrum\Storage;

/** How a document can be seen without being opened elsewhere. */
enum Preview: string
{
    case None = 'none';
    /** A picture of it lies beside it. */
    case Picture = 'picture';
    /** A picture of it is being made. */
    case Waiting = 'waiting';
    /** A browser shows it by itself. */
    case Pages = 'pages';
    /** A model that the screen turns. */
    case Model = 'model';
}
