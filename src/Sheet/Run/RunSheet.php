<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Run;

use Lustrum\Domain\Finding\FailureView;
use Lustrum\Domain\Finding\ObservationView;
use Lustrum\Domain\Finding\PhotoView;
use Lustrum\Domain\Revision\ArticleView;
use Lustrum\Domain\Revision\RevisionView;
use Lustrum\Domain\Trial\Found;
use Lustrum\Domain\Trial\ReadingView;
use Lustrum\Domain\Trial\RunView;
use Lustrum\Domain\Trial\TrialView;
use Lustrum\Sheet\Try\RunDot;
use Lustrum\Sheet\Workings\WorkedBefore;

/** Everything for one run: what it is made with, what was read, what was seen, and what Lustrum noticed. */
final readonly class RunSheet
{
    /**
     * @param list<string>          $noticed      in sentences
     * @param string                $mind         hazards and when to stop; empty where there are none, or it has ended
     * @param list<string>          $surprise     what nobody expected, and what does not fit, before anything else; empty: it was no surprise
     * @param list<string>          $missing      conditions and settings that nobody recorded
     * @param list<ReadingView>     $readings
     * @param list<DerivedView>     $derived
     * @param list<ObservationView> $observations
     * @param list<FailureView>     $failures
     * @param list<PhotoView>       $photos
     * @param list<string>          $modes        failure modes known on this device
     * @param list<string>          $places       places known on this device
     * @param list<RunDot>          $runs         of the trial
     * @param string                $level        that it was made at, as it is said
     * @param list<Found>           $offered      conditions and settings of the run before, of which nobody said anything on this one
     * @param int                   $offeredFrom  its number
     * @param list<TallyRow>        $tallies      what was marked again and again
     * @param list<CourseRow>       $courses      how something went along time
     * @param list<WorkedBefore>    $worked       what was worked out before it, and how that came out
     * @param string|null           $agreesNext   who has to agree before the next run; null: everybody has; empty: anybody
     * @param TypedFirmware|null    $typedFirmware the firmware that was typed on it, where neither its build nor its article has it
     * @param string                $aside        why it says nothing of the design; empty: it does
     */
    public function __construct(
        public string $sentence,
        public array $surprise,
        public array $noticed,
        public RigView $rig,
        public Console $console,
        public RunView $run,
        public array $missing,
        public TrialView $trial,
        public Asked $asked,
        public string $mind,
        public ?ArticleView $article,
        public RevisionView $revision,
        public array $readings,
        public array $derived,
        public array $observations,
        public array $failures,
        public array $photos,
        public array $modes,
        public array $places,
        public array $runs,
        public string $level,
        public string $aside,
        public array $offered,
        public int $offeredFrom,
        public ?string $agreesNext,
        public array $tallies,
        public array $courses,
        public array $worked,
        public ?TypedFirmware $typedFirmware,
    ) {
    }
}
