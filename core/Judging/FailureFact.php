<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

/** A failure as the sums need it. */
final readonly class FailureFact
{
    /** The same words, however written, are one mode. */
    private string $key;

    /** @param string|null $method identifier of the method of the run on which it happened; null without a run */
    public function __construct(
        public string $id,
        public string $build,
        public string $mode,
        public string $place,
        public ?string $method,
    ) {
        $this->key = mb_strtolower(trim($mode));
    }

    public function key(): string
    {
        return $this->key;
    }
}
