<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Try;

use Lustrum\Domain\Method\MethodView;
use Lustrum\Domain\Revision\ArticleView;
use Lustrum\Domain\Revision\RevisionView;

/** The Try station of one build. */
final readonly class TrySheet
{
    /**
     * @param list<TrialRow>    $trials
     * @param list<MethodView>  $methods
     * @param list<ArticleView> $articles
     * @param list<ReadyRow>    $now      what can be tried now, what matters most first
     * @param string            $heap     what waits to be gone through; empty: nothing
     */
    public function __construct(
        public string $sentence,
        public RevisionView $revision,
        public array $trials,
        public array $methods,
        public array $articles,
        public array $now,
        public string $heap,
    ) {
    }
}
