<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Methods;

use Lustrum\Core\Wording\FrameWords;
use Lustrum\Domain\Device\Device;
use Lustrum\Domain\Method\Method;
use Lustrum\Facts\BriefFacts;
use Lustrum\Facts\DeviceFacts;
use Lustrum\Record\Records;
use Lustrum\Sheet\Build\Pick;

/** Works out the sheet of methods and instruments. */
final readonly class MethodsSheets
{
    public function __construct(
        private Records $records,
        private DeviceFacts $facts,
        private BriefFacts $brief,
    ) {
    }

    public function of(Device $device): MethodsSheet
    {
        $methods = $this->records->all(Method::class, ['device' => $device]);
        $unsafe = count(array_filter($methods, static fn (Method $m): bool => trim($m->safety()->abort) === ''));
        $metrics = array_values($this->facts->metrics($device->id()->toRfc4122()));
        sort($metrics);
        $steps = $this->brief->steps($device->id()->toRfc4122());

        return new MethodsSheet(
            FrameWords::methods(count($methods), $unsafe),
            array_map(static fn (Method $m): MethodRow => MethodRow::of($m->view(), $steps), $methods), $metrics,
            array_map(static fn (string $id, string $name): Pick => new Pick($id, $name), array_keys($steps), $steps),
        );
    }
}
