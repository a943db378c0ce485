<?php

declare(strict_types=1);

namespace Lustrum\Core\Alike;

/** A stratum that one side has and the other has not: it is listed, and used for nothing. */
final readonly class Alone implements \JsonSerializable
{
    public function __construct(
        public string $cell,
        public ?string $block,
    ) {
    }

    /** @return array<string, string> */
    public function jsonSerialize(): array
    {
        return ['cell' => $this->cell] + ($this->block === null ? [] : ['block' => $this->block]);
    }
}
