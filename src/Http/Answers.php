<?php

declare(strict_types=1);

namespace Lustrum\Http;

/** Says what an endpoint answers with, for the description that is generated from the code. */
#[\Attribute(\Attribute::TARGET_METHOD)]
final readonly class Answers
{
    /**
     * @param class-string|null $class null: a file or an empty answer
     * @param list<string>      $query what may be asked for behind the question mark
     */
    public function __construct(
        public ?string $class,
        public bool $list = false,
        public array $query = [],
    ) {
    }
}
