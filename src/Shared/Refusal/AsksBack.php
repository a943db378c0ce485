<?php

declare(strict_types=1);

namespace Lustrum\Shared\Refusal;

/** A reading that wants a second look before it is kept. */
final class AsksBack extends Refusal
{
    /** @param list<object> $questions */
    protected function __construct(
        string $sentence,
        public readonly array $questions,
    ) {
        parent::__construct($sentence);
    }

    /** @param list<object> $questions */
    public static function about(string $sentence, array $questions): self
    {
        return new self($sentence, $questions);
    }
}
