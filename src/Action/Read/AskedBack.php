<?php

declare(strict_types=1);

namespace Lustrum\Action\Read;

/** Something that Lustrum asks back about a reading before it keeps it. */
final readonly class AskedBack
{
    /**
     * @param string      $about     'slip' or 'limits'
     * @param string|null $corrected the text that would be right if the suspicion is
     */
    public function __construct(
        public string $about,
        public string $sentence,
        public ?string $corrected,
    ) {
    }
}
