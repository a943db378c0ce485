<?php

declare(strict_types=1);

namespace Lustrum\Domain\Decision;

use Lustrum\Record\Kind;
use Lustrum\Record\Registration;

final class DecisionKinds implements Registration
{
    public static function kinds(): array
    {
        return [
            new Kind(
                'decision', 'decisions', Decision::class, DecisionInput::class, DecisionView::class,
                ['revision' => 'revision', 'next' => 'revision'], withdrawable: false,
            ),
            new Kind(
                'candidate', 'candidates', Candidate::class, CandidateInput::class, CandidateView::class,
                ['revision' => 'revision', 'failures' => 'failure', 'requirements' => 'requirement', 'decision' => 'decision'],
            ),
        ];
    }
}
