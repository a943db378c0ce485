<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Run;

use Lustrum\Core\Judging\Surprise;
use Lustrum\Core\Rig\RigCheck;
use Lustrum\Core\Rig\RigLine;
use Lustrum\Core\Run\Channel;
use Lustrum\Core\Run\RunFact;
use Lustrum\Core\Wording\RigWords;
use Lustrum\Domain\Trial\Found;
use Lustrum\Domain\Trial\Run;
use Lustrum\Facts\Book;
use Lustrum\Facts\RigFacts;
use Lustrum\Facts\RunFacts;
use Lustrum\Sheet\Methods\Fitting;

/** The rig check of a run, and what it shows after a surprise. */
final readonly class Rigs
{
    public function __construct(
        private RigFacts $facts,
        private RunFacts $runs,
        private Fitting $fitting,
    ) {
    }

    public function check(Run $run, RunFact $fact): RigCheck
    {
        // Where nothing is adjusted there is nothing to look for.
        $article = $run->configuration()->settings === [] ? null : $run->article()?->id()->toRfc4122();
        $isOpen = $run->outcome() === null;

        return RigCheck::of(
            $run->configuration()->settings, $fact->settings,
            $article === null ? [] : $this->facts->verified($article, $run->startedAt(), $fact->id),
            $article === null ? [] : $this->facts->happenings($article, $isOpen ? null : $run->startedAt()),
        );
    }

    public function view(RigCheck $check, Run $run, Book $book): RigView
    {
        $serial = $run->article()?->serial() ?? '';
        $channels = $run->configuration()->channels;
        // Whether an instrument fits is said before it is read with, and no more when it has been.
        $isRead = $run->outcome() === null && array_filter($channels, static fn (Channel $c): bool => $c->instrument !== '') !== [];
        $instruments = $isRead ? $this->fitting->instruments($run->workspace()) : [];

        return new RigView(
            RigWords::sentence($check), array_map(static fn (RigLine $l): RigRow => RigRow::of($l, $serial), $check->lines),
            RigWords::tare($channels, $book->metrics()),
            array_values(array_filter(
                array_map(static fn (Channel $c): string => Fitting::against($c, $instruments), $channels),
                static fn (string $s): bool => $s !== '',
            )),
        );
    }

    /**
     * @param list<Found>           $forecast by channel
     * @param array<string, string> $read     as it was read, by channel
     *
     * @return list<string> empty: it was no surprise
     */
    public function surprise(RunFact $fact, array $forecast, array $read, RigCheck $check, Book $book): array
    {
        $said = array_column($forecast, 'text', 'name');
        if ($fact->outcome === null || (!$fact->failed() && $said === [])) {
            return [];
        }
        $before = $fact->failed() ? $this->runs->before($fact->method, $fact->startedAt, $fact->id) : [];
        $surprise = Surprise::of($fact, $said, $before);
        $channel = $surprise === null || $surprise->channel === '' ? null : $fact->configuration->channel($surprise->channel);

        return $surprise === null ? [] : RigWords::surprise(
            $surprise, $channel === null ? '' : $book->metric($channel->metric), $read[$surprise->channel] ?? '', $check, $fact->serial(),
        );
    }
}
