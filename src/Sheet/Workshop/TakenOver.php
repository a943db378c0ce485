<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Workshop;

use Lustrum\Core\Evidence\State;
use Lustrum\Core\Judging\Build;
use Lustrum\Core\Judging\Cell;
use Lustrum\Core\Judging\Difference;
use Lustrum\Core\Judging\Differences;
use Lustrum\Core\Run\Part;
use Lustrum\Core\Wording\EvidenceWords;
use Lustrum\Core\Wording\WorkshopWords;
use Lustrum\Domain\Device\Device;
use Lustrum\Facts\Book;
use Lustrum\Facts\Books;
use Lustrum\Facts\DeviceFacts;
use Symfony\Component\Uid\Uuid;

/** What came with the build of another device that a device began with: its evidence stays with it, with what differs. */
final readonly class TakenOver
{
    public function __construct(
        private Books $books,
        private DeviceFacts $facts,
    ) {
    }

    /** @return list<TakenOverRow> parts of the build that are called as there */
    public function of(Device $device, Build $build, Book $book): array
    {
        $origin = $device->beganWith()->build ?? '';
        $of = $this->facts->deviceOf('revision', array_filter([$origin]))[$origin] ?? null;
        if ($of === null) {
            return [];
        }
        $there = $this->books->open(Uuid::fromString($of));
        $from = $there->build($origin);
        $differences = Differences::between($from, $build);
        $cells = $there->cells($from);
        $known = array_fill_keys(array_map(static fn (Part $p): string => mb_strtolower($p->name), $from->parts), true);
        $rows = [];
        foreach ($build->parts as $part) {
            if (!isset($known[mb_strtolower($part->name)])) {
                continue;
            }
            $differs = array_values(array_filter($differences, static fn (Difference $d): bool => $d->name() === 'part:'.$part->name));
            $said = array_map(
                static fn (Cell $c): string => $c->wanted->statement.': '.lcfirst(EvidenceWords::cell(
                    $c, $there->metric($c->wanted->metric),
                )),
                array_values(array_filter(
                    $cells, static fn (Cell $c): bool => $c->state !== State::None && $c->wanted->hangsOn($part->name),
                )),
            );
            $rows[] = new TakenOverRow($part->name, WorkshopWords::takenOver(
                $there->device->name.' '.$from->letter, array_map(static fn (Difference $d): string => $d->was.' → '.$d->is, $differs),
                array_map(static fn (string $s): string => rtrim($s, '.'), $said),
            ));
        }

        return $rows;
    }
}
