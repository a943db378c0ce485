<?php

declare(strict_types=1);

namespace Lustrum\Domain\Finding;

use Lustrum\Record\Kind;
use Lustrum\Record\Registration;

final class FindingKinds implements Registration
{
    public static function kinds(): array
    {
        return [
            new Kind(
                'observation', 'observations', Observation::class, ObservationInput::class, ObservationView::class,
                ['revision' => 'revision', 'run' => 'run', 'method' => 'method'], numerous: true,
            ),
            new Kind(
                'failure', 'failures', Failure::class, FailureInput::class, FailureView::class,
                ['revision' => 'revision', 'run' => 'run', 'article' => 'article', 'method' => 'method', 'consequenceOf' => 'failure'],
            ),
            new Kind(
                'closing', 'closings', ClosingByHand::class, ClosingByHandInput::class, ClosingByHandView::class, ['failure' => 'failure'],
            ),
            new Kind('cause', 'causes', Cause::class, CauseInput::class, CauseView::class, ['failure' => 'failure'], numerous: true),
            new Kind(
                'assumption', 'assumptions', Assumption::class, AssumptionInput::class, AssumptionView::class,
                ['device' => 'device', 'findings.run' => 'run', 'findings.failure' => 'failure'],
            ),
            new Kind(
                'photo', 'photos', Photo::class, PhotoInput::class, PhotoView::class,
                ['revision' => 'revision', 'run' => 'run', 'failure' => 'failure', 'reading' => 'reading'], put: false,
                carriesFile: true, numerous: true,
            ),
        ];
    }
}
