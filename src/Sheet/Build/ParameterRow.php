<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Build;

use Lustrum\Domain\Revision\ParameterView;
use Lustrum\Shared\MeasureView;

/** A parameter beside the parent's. */
final readonly class ParameterRow
{
    /**
     * @param string $mark    'same', 'changed', 'new' or 'gone'
     * @param string $chosen  what it is by the variant that was chosen, where that is something else than was written down
     * @param string $why     in a few words, that it was chosen, and what was written down
     * @param string $problem why it does not follow any more; empty: it does, or was typed
     */
    public function __construct(
        public string $name,
        public ?ParameterView $here,
        public ?MeasureView $parent,
        public ?string $difference,
        public ?string $percent,
        public string $mark,
        public string $problem = '',
        public string $chosen = '',
        public string $why = '',
    ) {
    }

    public function not(string $problem): self
    {
        return new self($this->name, $this->here, $this->parent, $this->difference, $this->percent, $this->mark, $problem);
    }

    /** The variant that was chosen is what the build is made of. */
    public function chosen(string $chosen, string $why): self
    {
        return new self($this->name, $this->here, $this->parent, null, null, 'changed', $this->problem, $chosen, $why);
    }
}
