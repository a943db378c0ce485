<?php

declare(strict_types=1);

namespace Lustrum\Core\Working;

use Lustrum\Core\CoreException;

/** A sum with what was typed into its fields, read; what is wrong stands at its field. */
final readonly class TypedSum
{
    /**
     * @param array<string, Entry|list<Entry>|string> $entries  by input
     * @param array<string, CoreException>            $problems by input
     */
    private function __construct(
        public Work $work,
        public array $entries,
        public Entered $entered,
        public array $problems,
    ) {
    }

    /** @param array<string, string> $texts by input */
    public static function of(Work $work, array $texts): self
    {
        [$entries, $problems] = Typing::read($work->about, $texts);
        $entered = Entered::read($work->about, $entries);
        $problems += $entered->problems;
        if ($problems === []) {
            try {
                $work = $work->named($texts);
            } catch (CoreException $e) {
                $problems[$e->path] = $e;
            }
        }

        return new self($work, $entries, $entered, $problems);
    }
}
