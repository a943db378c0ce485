<?php

declare(strict_types=1);

namespace Lustrum\Core;

/**
 * Base of every typed error of the core: a stable code, the path of the offending input and a sentence for a maker.
 */
abstract class CoreException extends \DomainException
{
    final public function __construct(
        public readonly string $problem,
        string $sentence,
        public readonly string $path = '',
    ) {
        parent::__construct($sentence);
    }

    /** The same error, located below $prefix. */
    public function under(string $prefix): static
    {
        return new static($this->problem, $this->getMessage(), $prefix.($this->path === '' ? '' : '/'.$this->path));
    }
}
