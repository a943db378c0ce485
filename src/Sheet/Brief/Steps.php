<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Brief;

use Lustrum\Core\Judging\Build;
use Lustrum\Core\Judging\StepTried;
use Lustrum\Core\Wording\BriefWords;
use Lustrum\Facts\Book;
use Lustrum\Facts\BriefFacts;

/** Which steps of use were tried, on a build and before it. */
final readonly class Steps
{
    public function __construct(
        private BriefFacts $facts,
    ) {
    }

    /** @return list<StepTried> in the order of use */
    public function on(Build $build, Book $book): array
    {
        $steps = $this->facts->steps($book->device->id);

        return $steps === [] ? [] : StepTried::on($build, $book->lineage(), $steps, $this->facts->walked($book->device->id));
    }

    /** Which were never tried, in a sentence; empty where there are none or each was. */
    public function never(Build $build, Book $book): string
    {
        $steps = $this->on($build, $book);

        return array_filter($steps, static fn (StepTried $s): bool => $s->isNever()) === [] ? '' : BriefWords::steps(
            $steps, $build->letter,
        );
    }
}
