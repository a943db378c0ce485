<?php

declare(strict_types=1);

namespace Lustrum\Core\Working;

/** What a sum says of itself: what goes in, what comes out, where its formula is from, and what it leaves out. */
final readonly class About
{
    /**
     * @param string       $title     two or three words
     * @param string       $what      it works out, in a sentence
     * @param list<string> $asked     words of the job that it is looked for by
     * @param list<Field>  $inputs
     * @param list<Output> $outputs
     * @param string       $source    of the formula
     * @param string       $leavesOut what it does not take into account, in sentences
     * @param string       $caution   where somebody can get hurt by what it is about; it never says that something is safe
     */
    public function __construct(
        public string $title,
        public string $what,
        public array $asked,
        public array $inputs,
        public array $outputs,
        public string $source,
        public string $leavesOut,
        public string $caution = '',
    ) {
    }

    /** @param list<Output> $outputs */
    public function giving(array $outputs): self
    {
        return new self($this->title, $this->what, $this->asked, $this->inputs, $outputs, $this->source, $this->leavesOut, $this->caution);
    }

    public function field(string $name): ?Field
    {
        return array_column($this->inputs, null, 'name')[$name] ?? null;
    }

    public function output(string $name): ?Output
    {
        return array_column($this->outputs, null, 'name')[$name] ?? null;
    }

    /** @return array<string, string> units that answers are said in on a sheet, by output */
    public function shown(): array
    {
        return array_column($this->outputs, 'shown', 'name');
    }

    public function formula(): string
    {
        return implode('; ', array_filter(array_map(static fn (Output $o): string => $o->formula, $this->outputs)));
    }
}
