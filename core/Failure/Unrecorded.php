<?php

declare(strict_types=1);

namespace Lustrum\Core\Failure;

/** Something failed, or held only just, and nobody wrote down how; it is open all the same. */
final readonly class Unrecorded
{
    /**
     * @param 'run'|'just'|'use'       $in      runs that failed, runs that held only just, or use outside trials
     * @param string                   $text    the question in words, or what went wrong; empty: the run as a whole
     * @param list<array{string, int}> $runs    trial and number, newest first
     * @param string                   $first   identifier of the newest run; empty for use
     * @param string                   $article serial; for use
     * @param string                   $day     ISO date of use; empty: nobody said
     */
    public function __construct(
        public string $in,
        public string $text,
        public array $runs = [],
        public string $first = '',
        public string $article = '',
        public string $day = '',
    ) {
    }

    public function and(string $run, string $trial, int $number): self
    {
        return new self($this->in, $this->text, [...$this->runs, [$trial, $number]], $this->first === '' ? $run : $this->first);
    }
}
