<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Find;

use Lustrum\Domain\Finding\ObservationView;
use Lustrum\Domain\Finding\PhotoView;
use Lustrum\Domain\Method\MethodView;
use Lustrum\Domain\Revision\ArticleView;
use Lustrum\Domain\Revision\RevisionView;

/** The Find station of one build; the first page of each list, its total, and where it goes on. */
final readonly class FindSheet
{
    /**
     * @param list<UnrecordedRow>   $unrecorded   what failed without a failure that says how
     * @param list<PhotoView>       $photos       newest first
     * @param list<FailureRow>      $failures     newest first
     * @param list<ObservationView> $observations newest first
     * @param list<ModeRow>         $modes        over all builds, most frequent first
     * @param list<ArticleView>     $articles
     * @param list<MethodView>      $methods      to say with which it happened, where there was no run
     */
    public function __construct(
        public string $sentence,
        public RevisionView $revision,
        public array $unrecorded,
        public array $photos,
        public ?string $morePhotos,
        public int $allPhotos,
        public array $failures,
        public ?string $moreFailures,
        public int $allFailures,
        public array $observations,
        public ?string $moreObservations,
        public int $allObservations,
        public array $modes,
        public int $allModes,
        public array $articles,
        public array $methods,
    ) {
    }
}
