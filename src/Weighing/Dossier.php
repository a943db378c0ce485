<?php

declare(strict_types=1);

namespace Lustrum\Weighing;

use Lustrum\Device\Device;
use Lustrum\Device\Requirement;
use Lustrum\Finding\Cause;
use Lustrum\Finding\CauseView;
use Lustrum\Finding\Failure;
use Lustrum\Finding\FailureView;
use Lustrum\Method\Method;
use Lustrum\Revision\Revision;

/** Everything that is known of a device, read once for a sheet. */
final readonly class Dossier
{
    public EvidenceTable $evidence;

    public Comparisons $comparisons;

    /**
     * @param list<Requirement>     $requirements
     * @param array<string, Method> $methods      by identifier
     * @param list<RunFact>         $runs         finished ones, oldest first
     * @param list<Failure>         $failures     of all builds, oldest first
     * @param list<Cause>           $causes
     */
    public function __construct(
        public Device $device,
        public RevisionTree $tree,
        public array $requirements,
        public array $methods,
        public array $runs,
        public array $failures,
        public array $causes,
    ) {
        $this->evidence = new EvidenceTable($tree, $device->confidence(), $runs);
        $this->comparisons = new Comparisons($methods, $requirements, $device->confidence());
    }

    /** @return list<RunFact> */
    public function runsOf(Revision $revision): array
    {
        $id = $revision->id()->toRfc4122();

        return array_values(array_filter($this->runs, static fn (RunFact $r): bool => $r->revision === $id));
    }

    /** @return list<FailureView> */
    public function failuresOf(Revision $revision): array
    {
        $id = $revision->id()->toRfc4122();

        return array_values(array_filter(array_map(static fn (Failure $f): FailureView => $f->view(), $this->failures), static fn (FailureView $f): bool => $f->revision === $id));
    }

    /** @return list<CauseView> */
    public function causesOf(string $failure): array
    {
        return array_values(array_filter(array_map(static fn (Cause $c): CauseView => $c->view(), $this->causes), static fn (CauseView $c): bool => $c->failure === $failure));
    }

    /** @return list<EvidenceCell> one for each requirement */
    public function evidenceOf(Revision $revision): array
    {
        return array_map(fn (Requirement $r): EvidenceCell => $this->evidence->cell($r, $revision), $this->requirements);
    }
}
