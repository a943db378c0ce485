<?php

declare(strict_types=1);

namespace Lustrum\Domain\Change;

use Lustrum\Record\Kind;
use Lustrum\Record\Registration;

final class ChangeKinds implements Registration
{
    public static function kinds(): array
    {
        return [
            new Kind(
                'change', 'changes', Change::class, ChangeInput::class, ChangeView::class,
                ['revision' => 'revision', 'against' => 'failure'],
            ),
            new Kind('unrelated', 'unrelated', Unrelated::class, UnrelatedInput::class, UnrelatedView::class, ['revision' => 'revision']),
        ];
    }
}
