<?php

declare(strict_types=1);

namespace Lustrum\Weighing;

use Lustrum\Device\Device;
use Lustrum\Record\Records;
use Lustrum\Revision\Change;
use Lustrum\Revision\ChangeView;
use Lustrum\Revision\Revision;

/** The revisions of a device with their changes, for walking up and down. */
final readonly class RevisionTree
{
    /**
     * @param array<string, Revision>         $revisions by identifier, oldest first
     * @param array<string, list<ChangeView>> $changes   by revision
     */
    private function __construct(
        public array $revisions,
        private array $changes,
    ) {
    }

    public static function of(Device $device, Records $records): self
    {
        $revisions = [];
        foreach ($records->all(Revision::class, ['device' => $device]) as $revision) {
            $revisions[$revision->id()->toRfc4122()] = $revision;
        }
        $changes = [];
        foreach ($revisions === [] ? [] : $records->all(Change::class, ['revision' => array_values($revisions)]) as $change) {
            $view = $change->view();
            $changes[$view->revision][] = $view;
        }

        return new self($revisions, $changes);
    }

    /** @return list<ChangeView> */
    public function changes(string $revision): array
    {
        return $this->changes[$revision] ?? [];
    }

    /** @return list<Revision> parent, grandparent … */
    public function ancestors(Revision $revision): array
    {
        $out = [];
        for ($above = $revision->parent(); $above !== null; $above = $above->parent()) {
            $out[] = $above;
        }

        return $out;
    }

    /**
     * Changes from an ancestor to a revision, nearest first.
     *
     * @return list<ChangeView>
     */
    public function changesSince(Revision $ancestor, Revision $revision): array
    {
        $out = [];
        for ($at = $revision; $at !== null && !$at->id()->equals($ancestor->id()); $at = $at->parent()) {
            $out = [...$out, ...$this->changes($at->id()->toRfc4122())];
        }

        return $out;
    }

    /**
     * Changes by which two revisions differ, over their nearest common ancestor.
     *
     * @return list<ChangeView>
     */
    public function changesBetween(Revision $a, Revision $b): array
    {
        $mine = [$a, ...$this->ancestors($a)];
        foreach ([$b, ...$this->ancestors($b)] as $candidate) {
            foreach ($mine as $own) {
                if ($own->id()->equals($candidate->id())) {
                    return [...$this->changesSince($own, $a), ...$this->changesSince($own, $b)];
                }
            }
        }

        return [];
    }

    /** @return list<Revision> all that come from this one, oldest first */
    public function descendants(Revision $revision): array
    {
        return array_values(array_filter($this->revisions, function (Revision $r) use ($revision): bool {
            foreach ($this->ancestors($r) as $above) {
                if ($above->id()->equals($revision->id())) {
                    return true;
                }
            }

            return false;
        }));
    }
}
