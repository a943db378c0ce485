<?php

declare(strict_types=1);

namespace Lustrum\Finding;

use Lustrum\Revision\ArticleView;
use Lustrum\Revision\RevisionView;

/** The Find station of one build. */
final readonly class FindSheet
{
    /**
     * @param list<PhotoView>       $photos
     * @param list<FailureRow>      $failures
     * @param list<ObservationView> $observations
     * @param list<ModeRow>         $modes        over all builds
     * @param list<ArticleView>     $articles
     */
    public function __construct(
        public string $sentence,
        public RevisionView $revision,
        public array $photos,
        public array $failures,
        public array $observations,
        public array $modes,
        public array $articles,
    ) {
    }
}
