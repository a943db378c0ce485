<?php

declare(strict_types=1);

namespace Lustrum\Core\Check;

/** What one relation says of the readings of a run. */
final readonly class RelationSeen
{
    /**
     * @param list<Implied> $implied     each quantity whose others were all read
     * @param float|null    $z           how far off, in standard uncertainties; null where one was not read or none is known
     * @param bool|null     $contradicts null where no uncertainty is known and they do not agree
     */
    public function __construct(
        public string $relation,
        public array $implied,
        public ?float $z,
        public ?bool $contradicts,
    ) {
    }
}
