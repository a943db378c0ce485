<?php

declare(strict_types=1);

namespace Lustrum\Domain\Method;

use Lustrum\Record\Kind;
use Lustrum\Record\Registration;

final class MethodKinds implements Registration
{
    public static function kinds(): array
    {
        return [
            new Kind('instrument', 'instruments', Instrument::class, InstrumentInput::class, InstrumentView::class, [], ofWorkspace: true),
            new Kind(
                'method', 'methods', Method::class, MethodInput::class, MethodView::class,
                ['device' => 'device', 'steps' => 'step', 'use' => 'use'], withdrawable: false,
            ),
        ];
    }
}
