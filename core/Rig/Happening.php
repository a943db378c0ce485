<?php

declare(strict_types=1);

namespace Lustrum\Core\Rig;

/** Something that happened to an article. */
final readonly class Happening
{
    /**
     * @param string $at   RFC 3339, in UTC: sorts as it happened
     * @param string $note which part was swapped, how far it fell; may be empty
     */
    public function __construct(
        public HappeningKind $kind,
        public string $at,
        public string $note = '',
    ) {
    }
}
