<?php

declare(strict_types=1);

namespace Lustrum\Facts;

use Lustrum\Core\Judging\Build;
use Lustrum\Core\Judging\Consequences;
use Lustrum\Core\Judging\Forecasts;
use Lustrum\Core\Judging\Proposal;
use Lustrum\Core\Judging\Terms;
use Lustrum\Domain\Decision\Candidate;
use Lustrum\Domain\Decision\Choice;
use Lustrum\Record\Records;

/** What may go into the next build of a build, and what the chosen ones come to. */
final readonly class Candidates
{
    public function __construct(
        private Records $records,
    ) {
    }

    /**
     * Candidates that are still to be decided on, of this build and what waits from its ancestors; and the settled ones.
     *
     * @return array{list<Candidate>, list<Candidate>}
     */
    public function of(Build $build, Book $book): array
    {
        $line = array_map(static fn (Build $b): string => $b->id, [$build, ...$book->lineage()->ancestors($build)]);
        $open = $settled = [];
        foreach ($this->records->all(Candidate::class, ['revision' => $line]) as $candidate) {
            $candidate->isSettled() ? $settled[] = $candidate : $open[] = $candidate;
        }

        return [$open, array_reverse($settled)];
    }

    /** @param list<Candidate> $open */
    public function together(array $open, Build $build, Book $book): Consequences
    {
        $chosen = array_values(array_filter($open, static fn (Candidate $c): bool => $c->choice() === Choice::In));

        return Forecasts::together(
            array_map(
                static fn (Candidate $c): Proposal => $c->proposal(), $chosen,
            ), $book->device, $book->wanted(), $book->baselines($build),
            static fn (string $metric): Terms => $book->terms($metric, $build),
        );
    }
}
