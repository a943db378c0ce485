<?php

declare(strict_types=1);

namespace Lustrum\Trial;

use Lustrum\Method\MethodView;
use Lustrum\Revision\ArticleView;
use Lustrum\Revision\RevisionView;

/** The Try station of one build. */
final readonly class TrySheet
{
    /**
     * @param list<TrialRow>    $trials
     * @param list<MethodView>  $methods
     * @param list<ArticleView> $articles
     */
    public function __construct(
        public string $sentence,
        public RevisionView $revision,
        public array $trials,
        public array $methods,
        public array $articles,
    ) {
    }
}
