<?php

declare(strict_types=1);

namespace Lustrum\Shared;

/** Something that Lustrum asks back before it keeps a reading, or begins a run. */
final readonly class AskedBack
{
    /**
     * @param string      $about     'slip' or 'limits'; of a run 'future'
     * @param string|null $corrected the text that would be right if the suspicion is
     */
    public function __construct(
        public string $about,
        public string $sentence,
        public ?string $corrected,
    ) {
    }
}
