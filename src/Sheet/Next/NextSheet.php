<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Next;

use Lustrum\Domain\Decision\CandidateView;
use Lustrum\Domain\Decision\DecisionView;
use Lustrum\Domain\Device\DeviceView;
use Lustrum\Domain\Revision\ArticleView;
use Lustrum\Domain\Revision\RevisionView;
use Lustrum\Sheet\Choice\Pick;

/** The Next station of one build. */
final readonly class NextSheet
{
    /**
     * @param list<CandidateView> $candidates open or waiting
     * @param list<CandidateView> $settled    decided on with an earlier decision; dropped ones keep their reasons
     * @param list<DecisionView>  $decisions  taken on this build
     * @param list<CameOf>        $cameOf     of the changes that these decisions put into the build that followed
     * @param list<string>        $metrics
     * @param list<Pick>          $failures   of this build, to propose something against
     * @param list<Pick>          $alterable  what of the build a candidate can alter
     * @param list<Pick>          $requirements to answer
     * @param list<string>        $warnings     that whoever decides should know first
     * @param list<Pick>          $forNow       parts of this build that are there for now only
     * @param list<string>        $open         what was never tried or is only believed, in sentences
     * @param list<ArticleView>   $changed      articles of this build on which something was changed that a build could take over
     */
    public function __construct(
        public string $sentence,
        public RevisionView $revision,
        public DeviceView $device,
        public array $candidates,
        public array $settled,
        public array $decisions,
        public array $cameOf,
        public ConsequencesView $consequences,
        public string $nextLetter,
        public array $metrics,
        public array $failures,
        public array $alterable,
        public array $requirements,
        public array $warnings,
        public array $forNow,
        public array $open,
        public array $changed,
    ) {
    }
}
