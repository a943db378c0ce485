<?php

declare(strict_types=1);

namespace Lustrum\Domain\Working;

use Lustrum\Record\Kind;
use Lustrum\Record\Registration;

final class WorkingKinds implements Registration
{
    public static function kinds(): array
    {
        return [
            new Kind('sum', 'sums', WorkshopSum::class, WorkshopSumInput::class, WorkshopSumView::class, [], ofWorkspace: true),
            new Kind(
                'working', 'workings', KeptWorking::class, WorkingInput::class, WorkingView::class, [
                    'revision' => 'revision', 'run' => 'run', 'inputs.parameter' => 'parameter', 'inputs.part' => 'part',
                    'inputs.reading' => 'reading',
                    'inputs.requirement' => 'requirement',
                ],
            ),
        ];
    }
}
