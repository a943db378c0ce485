<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Record\Kind;
use Lustrum\Record\Registration;

final class TrialKinds implements Registration
{
    public static function kinds(): array
    {
        return [
            new Kind(
                'trial', 'trials', Trial::class, TrialInput::class, TrialView::class, ['revision' => 'revision', 'method' => 'method'],
                withdrawable: false,
            ),
            new Kind(
                'run', 'runs', Run::class, RunInput::class, RunView::class, ['trial' => 'trial', 'article' => 'article'],
                withdrawable: false, numerous: true,
            ),
            new Kind(
                'reading', 'readings', Reading::class, ReadingInput::class, ReadingView::class, ['run' => 'run'], withdrawable: false,
                numerous: true,
            ),
            new Kind('course', 'courses', Course::class, CourseInput::class, CourseView::class, ['run' => 'run']),
            new Kind('outing', 'outings', Outing::class, OutingInput::class, OutingView::class, [], ofWorkspace: true),
            new Kind('panel', 'panels', Panel::class, PanelInput::class, PanelView::class, ['trial' => 'trial'], withdrawable: false),
            new Kind(
                'sheet', 'sheets', PanelSheet::class, PanelSheetInput::class, PanelSheetView::class, ['panel' => 'panel'],
                withdrawable: false,
            ),
        ];
    }
}
