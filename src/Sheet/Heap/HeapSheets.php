<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Heap;

use Lustrum\Account\Workspace;
use Lustrum\Core\Heap\Clock;
use Lustrum\Core\Heap\Laid;
use Lustrum\Core\Heap\Laying;
use Lustrum\Core\Heap\Lies;
use Lustrum\Core\Heap\Taken;
use Lustrum\Core\Wording\HeapWords;
use Lustrum\Domain\Heap\Camera;
use Lustrum\Domain\Heap\HeapFile;
use Lustrum\Facts\HeapFacts;
use Lustrum\Record\Records;
use Lustrum\Shared\Instant;

/** Lays a heap against the runs of its workspace. */
final readonly class HeapSheets
{
    /** Files that are gone through at once. */
    public const MOST = 600;

    /** Of what was put aside, so many can be taken back here. */
    private const ASIDE = 60;

    /** Seconds around what was taken in which runs are looked for: a run may have begun the day before. */
    private const AROUND = 86400.0;

    public function __construct(
        private Records $records,
        private HeapFacts $facts,
    ) {
    }

    public function of(Workspace $workspace): HeapSheet
    {
        $id = $workspace->id()->toRfc4122();
        $counts = $this->facts->counts($id);
        $clocks = [];
        foreach ($this->records->all(Camera::class, ['workspace' => $workspace]) as $camera) {
            $clocks[mb_strtolower($camera->name())] = $camera->clock();
        }
        $all = $this->records->some(HeapFile::class, ['workspace' => $workspace, 'aside' => false, 'photo' => null], self::MOST);
        $aside = $this->records->some(HeapFile::class, ['workspace' => $workspace, 'aside' => true], self::ASIDE);
        $moments = [];
        foreach ([...$all, ...$aside] as $file) {
            $moments[$file->id()->toRfc4122()] = $file->moment(self::clockOf($clocks, $file));
        }
        $known = array_filter($moments, static fn (?float $m): bool => $m !== null);
        $runs = $known === [] ? [] : $this->facts->runs($id, min($known) - self::AROUND, max($known) + self::AROUND);
        $laying = new Laying(array_column($runs, 'span'));
        $names = [];
        foreach ($runs as $r) {
            $names[$r['span']->run] = HeapWords::run($r['name'], $r['letter'], $r['trial'], $r['number']);
        }
        $row = static function (HeapFile $file) use ($moments, $laying, $names): HeapRow {
            $view = $file->view();
            $moment = $moments[$view->id];

            $laid = $moment === null ? new Laid(Lies::Untold) : $laying->lay(new Taken($view->id, $moment, $view->seconds ?? 0.0));

            return new HeapRow(
                $view, $moment === null ? null : self::instant($moment), $laid->run, $laid->lies, HeapWords::laid($laid),
                HeapWords::one($laid, $names[$laid->run ?? ''] ?? ''), $laid->lies === Lies::Before ? -$laid->seconds : $laid->seconds,
            );
        };
        $rows = array_map($row, $all);
        usort($rows, static fn (HeapRow $a, HeapRow $b): int => [$a->moment === null, $moments[$a->file->id], $a->file->name, $a->file->id]
            <=> [$b->moment === null, $moments[$b->file->id], $b->file->name, $b->file->id]);
        $lie = array_count_values(array_map(static fn (HeapRow $r): string => $r->lies->value, $rows));

        return new HeapSheet(
            HeapWords::sentence(
                $counts['left'], $lie[Lies::During->value] ?? 0, ($lie[Lies::After->value] ?? 0) + ($lie[Lies::Before->value] ?? 0),
                $lie[Lies::Untold->value] ?? 0, $counts['kept'], $counts['aside'],
            ),
            $rows, max(0, $counts['left'] - count($rows)),
            array_map(static fn (array $r): HeapRun => new HeapRun(
                $r['span']->run, $names[$r['span']->run], $r['device'], $r['letter'],
                self::instant($r['span']->from),
            ), $runs),
            self::cameras($all, $clocks), array_map($row, $aside),
        );
    }

    /**
     * @param list<HeapFile>       $files
     * @param array<string, Clock> $clocks
     *
     * @return list<HeapCamera>
     */
    private static function cameras(array $files, array $clocks): array
    {
        $by = [];
        foreach ($files as $file) {
            $by[$file->camera()][] = $file;
        }
        ksort($by);
        $out = [];
        foreach ($by as $name => $own) {
            $out[] = new HeapCamera(
                (string) $name, count($own), array_filter($own, static fn (HeapFile $f): bool => $f->says() !== null) !== [],
                HeapWords::clock(self::clockOf($clocks, $own[0])->ahead, count($own)),
            );
        }

        return $out;
    }

    /** @param array<string, Clock> $clocks by the name of the camera in lower case */
    private static function clockOf(array $clocks, HeapFile $file): Clock
    {
        return $clocks[mb_strtolower($file->camera())] ?? Clock::ahead(0.0);
    }

    private static function instant(float $moment): string
    {
        return Instant::write(\DateTimeImmutable::createFromFormat('U.u', sprintf('%.6F', $moment)) ?: throw new \LogicException('A moment is a number of seconds.'));
    }
}
