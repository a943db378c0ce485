<?php

declare(strict_types=1);

namespace Lustrum\Weighing;

use Lustrum\Device\Device;
use Lustrum\Device\Requirement;
use Lustrum\Finding\Cause;
use Lustrum\Finding\Failure;
use Lustrum\Method\Method;
use Lustrum\Record\Records;

/** Opens the dossier of a device. */
final readonly class Dossiers
{
    public function __construct(
        private Records $records,
        private RunFacts $facts,
    ) {
    }

    public function open(Device $device): Dossier
    {
        $requirements = $this->records->all(Requirement::class, ['device' => $device]);
        usort($requirements, static fn (Requirement $a, Requirement $b): int => $a->view()->place <=> $b->view()->place);
        $methods = [];
        foreach ($this->records->all(Method::class, ['device' => $device]) as $method) {
            $methods[$method->id()->toRfc4122()] = $method;
        }
        $tree = RevisionTree::of($device, $this->records);
        $failures = $tree->revisions === [] ? [] : $this->records->all(Failure::class, ['revision' => array_values($tree->revisions)]);

        return new Dossier($device, $tree, $requirements, $methods, $this->facts->ofDevice($device), $failures, $failures === [] ? [] : $this->records->all(Cause::class, ['failure' => $failures]));
    }
}
