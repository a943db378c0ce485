<?php

declare(strict_types=1);

namespace Lustrum\Device;

use Doctrine\DBAL\Connection;
use Lustrum\Account\Access;
use Lustrum\Core\Evidence\Texture;
use Lustrum\Revision\Revision;
use Lustrum\Weighing\Dossier;
use Lustrum\Weighing\Dossiers;
use Lustrum\Weighing\EvidenceCell;
use Symfony\Bundle\SecurityBundle\Security;

/** Works out the spine and what waits where. */
final readonly class Frames
{
    private const STRENGTH = [Texture::Solid, Texture::Dotted, Texture::Dense, Texture::Sparse, Texture::DottedBroken, Texture::DenseBroken, Texture::Broken, Texture::Outline];

    public function __construct(
        private Dossiers $dossiers,
        private Connection $db,
        private Security $security,
    ) {
    }

    public function of(Device $device): FrameView
    {
        $dossier = $this->dossiers->open($device);
        $waits = $this->waits($device);
        $depths = self::depths($dossier);
        $spine = [];
        foreach (array_reverse($dossier->tree->revisions) as $id => $revision) {
            $spine[] = self::tag($revision, $dossier, $waits[$id] ?? [], $depths[$id] ?? 0);
        }

        return new FrameView($device->view(), $spine, count($dossier->requirements), $this->security->isGranted(Access::Write->value, $device->workspace()));
    }

    /** @param list<StationMark> $waits */
    private static function tag(Revision $revision, Dossier $dossier, array $waits, int $depth): SpineTag
    {
        $bar = array_map(static fn (EvidenceCell $c): Texture => $c->texture, $dossier->evidenceOf($revision));
        usort($bar, static fn (Texture $a, Texture $b): int => array_search($a, self::STRENGTH, true) <=> array_search($b, self::STRENGTH, true));
        $shown = count(array_filter($bar, static fn (Texture $t): bool => $t === Texture::Solid));

        return new SpineTag($revision->view(), $bar, $bar === [] ? 'no requirements yet' : sprintf('%d of %d shown', $shown, count($bar)), $waits, $depth);
    }

    /** @return array<string, int> how far a revision is set in: nought on the line that goes on, one more for each branch that was left */
    private static function depths(Dossier $dossier): array
    {
        $depths = [];
        $named = [];
        foreach ($dossier->tree->revisions as $id => $revision) {
            $parent = $revision->parent()?->id()->toRfc4122();
            $branch = $revision->view()->branch;
            $same = $parent !== null && $branch === ($named[$parent] ?? '');
            $depths[$id] = $branch === '' ? 0 : ($same ? $depths[$parent] ?? 0 : ($parent === null ? 0 : $depths[$parent] ?? 0) + 1);
            $named[$id] = $branch;
        }

        return $depths;
    }

    /** @return array<string, list<StationMark>> by revision */
    private function waits(Device $device): array
    {
        $waits = [];
        $queries = [
            ['try', '%d unfinished', 'SELECT t.revision_id, count(*) FROM run r JOIN trial t ON t.id = r.trial_id JOIN revision v ON v.id = t.revision_id WHERE v.device_id = ? AND r.outcome IS NULL AND r.withdrawn_because IS NULL GROUP BY 1'],
            ['find', '%d without a cause', 'SELECT f.revision_id, count(*) FROM failure f JOIN revision v ON v.id = f.revision_id WHERE v.device_id = ? AND f.withdrawn_because IS NULL AND NOT EXISTS (SELECT 1 FROM cause c WHERE c.failure_id = f.id AND c.withdrawn_because IS NULL) GROUP BY 1'],
            ['next', '%d to decide', "SELECT c.revision_id, count(*) FROM candidate c JOIN revision v ON v.id = c.revision_id WHERE v.device_id = ? AND c.decision_id IS NULL AND c.choice = 'open' AND c.withdrawn_because IS NULL AND v.state <> 'abandoned' GROUP BY 1"],
        ];
        foreach ($queries as [$station, $words, $sql]) {
            foreach ($this->db->fetchAllKeyValue($sql, [$device->id()->toRfc4122()]) as $revision => $count) {
                $waits[$revision][] = new StationMark($station, sprintf($words, is_numeric($count) ? (int) $count : 0));
            }
        }

        return $waits;
    }
}
