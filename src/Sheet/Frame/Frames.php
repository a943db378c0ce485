<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Frame;

use Doctrine\DBAL\Connection;
use Lustrum\Core\Evidence\Texture;
use Lustrum\Core\Judging\Build;
use Lustrum\Core\Judging\Cell;
use Lustrum\Core\Run\Row;
use Lustrum\Core\Wording\EvidenceWords;
use Lustrum\Core\Wording\FrameWords;
use Lustrum\Domain\Decision\Choice;
use Lustrum\Domain\Device\Device;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Domain\Revision\RevisionState;
use Lustrum\Domain\Revision\RevisionView;
use Lustrum\Facts\Book;
use Lustrum\Facts\Books;
use Lustrum\Facts\BriefFacts;
use Lustrum\Facts\FailureFacts;
use Lustrum\Facts\WorkshopFacts;
use Lustrum\Record\Records;

/** Works out the spine and what waits where. */
final readonly class Frames
{
    private const STRENGTH = [
        Texture::Solid, Texture::Dotted, Texture::Dense, Texture::Sparse, Texture::DottedBroken, Texture::DenseBroken, Texture::Broken,
        Texture::Outline,
    ];

    private const UNFINISHED = 'SELECT t.revision_id, count(*) FROM run r JOIN trial t ON t.id = r.trial_id
        WHERE r.belongs_to = ? AND r.outcome IS NULL AND r.withdrawn_because IS NULL GROUP BY 1';

    private const UNDECIDED = 'SELECT c.revision_id, count(*) FROM candidate c JOIN revision v ON v.id = c.revision_id
        WHERE c.belongs_to = ? AND c.decision_id IS NULL AND c.choice = ? AND c.withdrawn_because IS NULL AND v.state <> ? GROUP BY 1';

    public function __construct(
        private Books $books,
        private FailureFacts $failures,
        private BriefFacts $brief,
        private WorkshopFacts $workshop,
        private Connection $db,
        private Records $records,
    ) {
    }

    public function of(Device $device): FrameView
    {
        $book = $this->books->open($device);
        $waits = $this->waits($device);
        $views = [];
        foreach ($this->records->all(Revision::class, ['device' => $device]) as $revision) {
            $views[$revision->id()->toRfc4122()] = $revision->view();
        }
        $spine = [];
        foreach (array_reverse($book->lineage()->builds) as $id => $build) {
            $spine[] = self::tag($build, $views[$id], $book, $waits[$id] ?? []);
        }

        return new FrameView(
            $device->view(), $spine, count($book->wanted()), $this->records->mayWrite($device->workspace()),
            $this->brief->names($device->id()->toRfc4122(), $device->workspace()->id()->toRfc4122()),
            array_map(
                static fn (array $m): FrameModule => new FrameModule($m['build'], $m['device'], $m['name'], $m['letter']),
                $this->workshop->joined($device->id()->toRfc4122()),
            ),
        );
    }

    /** @param list<StationMark> $waits */
    private static function tag(Build $build, RevisionView $view, Book $book, array $waits): SpineTag
    {
        $cells = $book->cells($build);
        $tried = array_filter($cells, static fn (Cell $c): bool => $c->runs > 0 && $c->source->id === $build->id) !== [];
        $bar = array_map(static fn (Cell $c): Texture => $c->texture, $cells);
        usort(
            $bar,
            static fn (Texture $a, Texture $b): int => array_search($a, self::STRENGTH, true) <=> array_search($b, self::STRENGTH, true),
        );
        $shown = count(array_filter($bar, static fn (Texture $t): bool => $t === Texture::Solid));

        // A build that has been tried has been built, whatever its record still says.
        $words = $view->state === RevisionState::Building && !$tried ? FrameWords::building() : EvidenceWords::bar($shown, count($bar));

        return new SpineTag($view, $bar, $words, $waits, $book->lineage()->depth($build));
    }

    /** @return array<string, list<StationMark>> by build */
    private function waits(Device $device): array
    {
        $id = $device->id()->toRfc4122();
        $waits = [];
        foreach ([
            'try' => $this->db->fetchAllKeyValue(self::UNFINISHED, [$id]),
            'find' => $this->failures->withoutCause($id),
            'next' => $this->db->fetchAllKeyValue(self::UNDECIDED, [
                $id, Choice::Open->value, RevisionState::Abandoned->value,
            ]),
        ] as $station => $counts) {
            foreach ($counts as $build => $count) {
                $waits[$build][] = new StationMark($station, FrameWords::waits($station, Row::whole($count)));
            }
        }

        return $waits;
    }
}
