<?php

declare(strict_types=1);

namespace Lustrum\Trial;

use Lustrum\Finding\FailureView;
use Lustrum\Finding\ObservationView;
use Lustrum\Finding\PhotoView;
use Lustrum\Method\MethodView;
use Lustrum\Revision\ArticleView;
use Lustrum\Revision\RevisionView;

/** Everything for one run: what it is made with, what was read, what was seen, and what Lustrum noticed. */
final readonly class RunSheet
{
    /**
     * @param list<string>          $noticed      in sentences
     * @param list<ReadingView>     $readings
     * @param list<DerivedReading>  $derived
     * @param list<ObservationView> $observations
     * @param list<FailureView>     $failures
     * @param list<PhotoView>       $photos
     * @param list<string>          $modes        failure modes known on this device
     * @param list<string>          $places       places known on this device
     * @param list<RunDot>          $runs         of the trial
     */
    public function __construct(
        public string $sentence,
        public array $noticed,
        public RunView $run,
        public TrialView $trial,
        public MethodView $method,
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
    ) {
    }
}
