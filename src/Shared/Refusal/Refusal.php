<?php

declare(strict_types=1);

namespace Lustrum\Shared\Refusal;

/**
 * Something that the application will not do, with a sentence for people. What it becomes outside (a status, a line in
 * a terminal) is not its business.
 */
abstract class Refusal extends \DomainException
{
    /**
     * @param list<array{path: string, message: string}> $violations what is wrong where
     */
    protected function __construct(
        string $sentence,
        public readonly array $violations = [],
        ?\Throwable $previous = null,
    ) {
        parent::__construct($sentence, 0, $previous);
    }
}
