<?php

declare(strict_types=1);

namespace Lustrum\Storage;

/** A decoder stumbled over a file; the message is the decoder's own. */
final class DecodingFailed extends \RuntimeException
{
}
