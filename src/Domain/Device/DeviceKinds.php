<?php

declare(strict_types=1);

namespace Lustrum\Domain\Device;

use Lustrum\Record\Kind;
use Lustrum\Record\Registration;

final class DeviceKinds implements Registration
{
    public static function kinds(): array
    {
        return [
            new Kind('device', 'devices', Device::class, DeviceInput::class, DeviceView::class, [], withdrawable: false),
            new Kind(
                'metric', 'metrics', Metric::class, MetricInput::class, MetricView::class, ['device' => 'device'], withdrawable: false,
            ),
            new Kind('use', 'uses', UseCase::class, UseCaseInput::class, UseCaseView::class, ['device' => 'device']),
            new Kind('step', 'steps', UseStep::class, UseStepInput::class, UseStepView::class, ['device' => 'device', 'use' => 'use']),
            new Kind('person', 'persons', Person::class, PersonInput::class, PersonView::class, ['device' => 'device']),
            new Kind(
                'requirement', 'requirements', Requirement::class, RequirementInput::class, RequirementView::class,
                ['device' => 'device', 'uses' => 'use'],
            ),
        ];
    }
}
