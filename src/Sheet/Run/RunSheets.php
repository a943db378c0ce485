<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Run;

use Lustrum\Core\Rig\RigCheck;
use Lustrum\Core\Run\Alikeness;
use Lustrum\Core\Run\Derivation;
use Lustrum\Core\Run\DerivedReading;
use Lustrum\Core\Run\RunFact;
use Lustrum\Core\Wording\BuildWords;
use Lustrum\Core\Wording\FieldWords;
use Lustrum\Core\Wording\MethodSheetWords;
use Lustrum\Core\Wording\Noticing;
use Lustrum\Core\Wording\ReadingWords;
use Lustrum\Core\Wording\TrialWords;
use Lustrum\Domain\Finding\Failure;
use Lustrum\Domain\Finding\FailureView;
use Lustrum\Domain\Finding\Observation;
use Lustrum\Domain\Finding\ObservationView;
use Lustrum\Domain\Finding\Photo;
use Lustrum\Domain\Finding\PhotoView;
use Lustrum\Domain\Trial\Course;
use Lustrum\Domain\Trial\Found;
use Lustrum\Domain\Trial\Reading;
use Lustrum\Domain\Trial\ReadingView;
use Lustrum\Domain\Trial\Run;
use Lustrum\Domain\Trial\Said;
use Lustrum\Facts\Book;
use Lustrum\Facts\Books;
use Lustrum\Facts\FailureFacts;
use Lustrum\Facts\RunDots;
use Lustrum\Facts\RunFacts;
use Lustrum\Record\Records;
use Lustrum\Sheet\Build\Standing;
use Lustrum\Sheet\Methods\Rehearsed;
use Lustrum\Sheet\Try\RunDot;
use Lustrum\Sheet\Workings\Scores;

/** Works out the sheet of one run; it reads that run, its trial and the last one that held, whatever else there is. */
final readonly class RunSheets
{
    /** Seconds: as on the device that puts its times right (web/src/api/clock.ts). */
    private const CLOCK_IS_WRONG = 30.0;

    public function __construct(
        private Records $records,
        private Books $books,
        private RunFacts $runs,
        private FailureFacts $failures,
        private RunDots $dots,
        private Standing $standing,
        private Rigs $rigs,
        private Consoles $consoles,
        private Scores $scores,
    ) {
    }

    public function of(Run $run): RunSheet
    {
        [$trial, $device] = [$run->trial(), $run->belongsTo()->toRfc4122()];
        $book = $this->books->open($run->belongsTo());
        $fact = $this->runs->one($run->id()->toRfc4122()) ?? throw new \LogicException('The run is there.');
        $readings = $this->records->all(Reading::class, ['run' => $run]);
        $known = $this->failures->known($device);
        $view = $run->view();
        $missing = Noticing::unrecorded($fact);
        $before = $this->dots->before($trial->id()->toRfc4122(), $view->number);
        $rig = $this->rigs->check($run, $fact);
        $dots = array_map(RunDot::fromRow(...), $this->dots->around($trial->id()->toRfc4122(), $view->number));
        $read = [];
        foreach ($readings as $reading) {
            $read[$reading->channel()] = $reading->view()->current->text;
        }

        $seen = array_map(
            static fn (Observation $o): ObservationView => $o->view(), $this->records->all(Observation::class, ['run' => $run]),
        );
        $surprise = $this->rigs->surprise($fact, $view->forecast, $read, $rig, $book);

        return new RunSheet(
            TrialWords::run(
                $view->number, $trial->name(), $trial->revision()->letter(), $run->article()?->serial() ?? '', $view->outcome,
                $view->outcomeReason, $fact->leavesBound(), $fact->configuration->articleState,
            ),
            $surprise,
            [
                ...$this->noticed($fact, $book, $device, $surprise !== []), ...self::provenance($run),
                ...self::unsettled($readings),
                ...($view->outcome === null ? [] : array_filter([
                    $this->standing->rests($trial->revision()), $fact->says() ? Rehearsed::less($trial->method()) : '',
                ])),
            ],
            $this->rigs->view($rig, $run, $book), $this->consoles->of($run, $book, $dots), $view, $missing, $trial->view(), Asked::of(
                $run->configuration(), $book->metrics(), $book->words(),
            ), $view->outcome === null ? $trial->method()->safety()->inSight(true) : '',
            $run->article()?->view(), $trial->revision()->view(),
            array_map(static fn (Reading $r): ReadingView => $r->view(), $readings), self::derived($run, $readings, $book),
            $seen,
            array_map(static fn (Failure $f): FailureView => $f->view(), $this->records->all(Failure::class, ['run' => $run])),
            array_map(static fn (Photo $p): PhotoView => $p->view(), $this->records->all(Photo::class, ['run' => $run])),
            $known['modes'], $known['places'], $dots, Alikeness::of($fact)->said(), $fact->aside,
            self::offered($run, $missing, $before['found'], $rig), $before['number'], $trial->agreesNext(),
            TallyRow::all($seen, $view->lasted),
            array_map(
                static fn (Course $c): CourseRow => CourseRow::of($c, $book->confidence()),
                $this->records->all(Course::class, ['run' => $run]),
            ),
            $this->scores->before($run, $readings), TypedFirmware::on($run),
        );
    }

    /**
     * What the run before says of this one. Nobody has said that it is still so: it counts for nothing until somebody does. Where
     * an article is known, its settings go by what happened to it, and not by another run.
     *
     * @param list<string>          $missing
     * @param array<string, string> $found   on the run before it
     *
     * @return list<Found>
     */
    private static function offered(Run $run, array $missing, array $found, RigCheck $rig): array
    {
        if ($run->article() !== null) {
            foreach ($rig->lines as $line) {
                unset($found[$line->rule->name]);
            }
            foreach ($rig->standing() as $line) {
                $found[$line->rule->name] = $line->verified->text ?? '';
            }
        }

        return array_values(array_map(
            static fn (string $name): Found => new Found($name, $found[$name]), array_intersect($missing, array_keys($found)),
        ));
    }

    /**
     * @param list<Reading> $readings
     *
     * @return list<string> what was read before it had come to rest
     */
    private static function unsettled(array $readings): array
    {
        return array_values(array_map(
            static fn (Reading $r): string => ReadingWords::unsettled($r->metric(), $r->view()->said, $r->view()->bound === 'atLeast'),
            array_filter($readings, static fn (Reading $r): bool => Said::isUnsettled($r->view()->said)),
        ));
    }

    /** @return list<string> */
    private function noticed(RunFact $fact, Book $book, string $device, bool $isSurprise): array
    {
        return (new Noticing($book->metrics()))->about(
            $fact, $this->failures->seenElsewhere($device, $fact->id),
            $fact->failed() ? $this->runs->lastHeld($fact) : null,
            // Who is about to rate is told nothing of what others rated.
            $fact->outcome === null ? array_diff_key($book->soFar($fact), array_flip($book->rated())) : $book->soFar($fact),
            $isSurprise,
        );
    }

    /** @return list<string> what was filled in or put right about it afterwards */
    private static function provenance(Run $run): array
    {
        $filled = $run->configuration()->filled;
        $ahead = $run->view()->ahead;
        $clock = $run->view()->clockAhead ?? 0.0;
        $out = [
            ...(abs($clock) < self::CLOCK_IS_WRONG ? [] : [FieldWords::clockAhead($clock)]),
            ...($ahead === null ? [] : [MethodSheetWords::ahead($ahead->by, $ahead->note)]),
            ...($filled === null ? [] : [BuildWords::filled($filled)]),
        ];
        foreach ($run->trial()->revision()->view()->corrections as $correction) {
            if (new \DateTimeImmutable($correction->at) > $run->createdAt()) {
                $out[] = $correction->sentence;
            }
        }

        return $out;
    }

    /**
     * @param list<Reading> $readings
     *
     * @return list<DerivedView>
     */
    private static function derived(Run $run, array $readings, Book $book): array
    {
        $quantities = [];
        foreach (array_filter($readings, static fn (Reading $r): bool => !$r->isUndecided()) as $reading) {
            $quantities[$reading->channel()] = $reading->current()->quantity();
        }

        $inputs = Derivation::inputs($quantities);

        return array_map(
            static fn (DerivedReading $d): DerivedView => DerivedView::of($d, $book->metric($d->channel->metric), $inputs),
            Derivation::of(
                $run->configuration()->channels, Derivation::onFixture(Derivation::variables($quantities), $run->configuration()),
            ),
        );
    }
}
