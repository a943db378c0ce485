<?php

declare(strict_types=1);

namespace Lustrum\Action\Build;

use Lustrum\Core\Run\Deviation;
use Lustrum\Core\Run\Step;
use Lustrum\Domain\Finding\Failure;
use Lustrum\Domain\Revision\Article;
use Lustrum\Domain\Trial\Run;
use Lustrum\Record\Records;

/** What was changed on an article between its runs, and what had failed on it by then. */
final readonly class StepsTaken
{
    public function __construct(
        private Records $records,
    ) {
    }

    public function of(Article $article): Taken
    {
        $made = array_values(array_filter(
            $this->records->all(Run::class, ['article' => $article]),
            static fn (Run $r): bool => $r->trial()->revision()->id()->equals($article->revision()->id()),
        ));
        usort($made, static fn (Run $a, Run $b): int => [$a->startedAt(), $a->number()] <=> [$b->startedAt(), $b->number()]);
        $now = self::ofDesign($article->deviants());

        return new Taken($made, Step::all(array_map(
            static fn (Run $r): array => self::ofDesign($r->configuration()->otherwise()), $made,
        ), $now), $now, $this->failures($made));
    }

    /**
     * @param list<Deviation> $deviants
     *
     * @return list<Deviation> those that a build may take over
     */
    private static function ofDesign(array $deviants): array
    {
        return array_values(array_filter($deviants, static fn (Deviation $d): bool => $d->isOfDesign()));
    }

    /**
     * @param list<Run> $made
     *
     * @return list<array{Failure, int}> what failed in these runs, with the place of its run
     */
    private function failures(array $made): array
    {
        $places = array_flip(array_map(static fn (Run $r): string => $r->id()->toRfc4122(), $made));
        $out = [];
        foreach ($made === [] ? [] : $this->records->all(Failure::class, ['run' => $made]) as $failure) {
            $out[] = [$failure, $places[$failure->run()?->id()->toRfc4122() ?? ''] ?? count($made)];
        }

        return $out;
    }
}
