<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Frame;

use Lustrum\Core\Evidence\Texture;
use Lustrum\Domain\Revision\RevisionView;

/** A revision on the spine: its evidence as a row of textures, and the stations where something waits. */
final readonly class SpineTag
{
    /**
     * @param list<Texture>        $bar   one for each requirement, strongest first
     * @param list<StationMark>    $waits
     */
    public function __construct(
        public RevisionView $revision,
        public array $bar,
        public string $evidence,
        public array $waits,
        public int $depth,
    ) {
    }
}
