<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Devices;

use Doctrine\DBAL\Connection;
use Lustrum\Account\Workspace;
use Lustrum\Core\Run\Row;
use Lustrum\Core\Wording\FrameWords;
use Lustrum\Domain\Device\Device;
use Lustrum\Record\Records;

/** The devices of a workspace: one query for what there is of each. */
final readonly class DeviceList
{
    public function __construct(
        private Connection $db,
        private Records $records,
    ) {
    }

    /** @return list<DeviceCard> */
    public function of(Workspace $workspace): array
    {
        $counts = [];
        foreach ($this->db->iterateAssociative(
            'SELECT v.belongs_to, count(*) builds, (array_agg(v.id ORDER BY v.created_at DESC, v.letter DESC))[1] latest,
                    (array_agg(v.letter ORDER BY v.created_at DESC, v.letter DESC))[1] letter,
                    (SELECT count(*) FROM run r WHERE r.belongs_to = v.belongs_to) runs
             FROM revision v WHERE v.workspace_id = ? AND v.withdrawn_because IS NULL GROUP BY v.belongs_to', [$workspace->id()->toRfc4122()],
        ) as $row) {
            $counts[Row::text($row['belongs_to'])] = $row;
        }

        return array_map(static function (Device $device) use ($counts): DeviceCard {
            $row = $counts[$device->id()->toRfc4122()] ?? [];
            [$builds, $runs, $letter] = [
                Row::whole($row['builds'] ?? 0), Row::whole($row['runs'] ?? 0), Row::textOrNull($row['letter'] ?? null),
            ];

            return new DeviceCard(
                $device->view(), Row::textOrNull($row['latest'] ?? null), $letter, $builds, $runs,
                FrameWords::device($builds, $runs, $letter ?? ''),
            );
        }, $this->records->all(Device::class, ['workspace' => $workspace]));
    }
}
