<?php

declare(strict_types=1);

namespace Lustrum\Core\Working;

/** A sum whose answers are named by what is entered. */
interface Naming extends Working
{
    /**
     * @param array<string, string> $texts as entered, by input
     *
     * @return non-empty-list<Output> the one that is mostly wanted first
     *
     * @throws \Lustrum\Core\CoreException at the input that says otherwise
     */
    public function outputs(array $texts): array;
}
