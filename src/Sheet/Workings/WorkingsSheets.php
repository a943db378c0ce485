<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Workings;

use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Wording\Numbers;
use Lustrum\Core\Wording\WorkingWords;
use Lustrum\Core\Working\Work;
use Lustrum\Core\Working\Workings;
use Lustrum\Domain\Device\Requirement;
use Lustrum\Domain\Revision\Parameter;
use Lustrum\Domain\Revision\Part;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Domain\Trial\Reading;
use Lustrum\Domain\Trial\Run;
use Lustrum\Domain\Working\KeptWorking;
use Lustrum\Domain\Working\Sums;
use Lustrum\Domain\Working\WorkEntry;
use Lustrum\Domain\Working\WorkingView;
use Lustrum\Domain\Working\WorkInput;
use Lustrum\Domain\Working\WorkshopSum;
use Lustrum\Domain\Working\WorkshopSumView;
use Lustrum\Facts\Book;
use Lustrum\Facts\Books;
use Lustrum\Facts\WorkingFacts;
use Lustrum\Record\Record;
use Lustrum\Record\Records;
use Lustrum\Shared\Refusal\Invalid;
use Symfony\Component\Uid\Uuid;

/** Works out the sheet of the workings, with what may be taken from a build. */
final readonly class WorkingsSheets
{
    public function __construct(
        private Records $records,
        private WorkingFacts $facts,
        private Scores $scores,
        private Books $books,
    ) {
    }

    public function of(Revision $revision): WorkingsSheet
    {
        $book = $this->books->open($revision->device());
        $targets = Targets::of($revision, $book, $this->records);
        $workings = array_reverse($this->records->all(KeptWorking::class, ['belongsTo' => $revision->belongsTo()]));
        $all = $this->now($workings);
        $scores = $this->scores->of($workings);
        $kept = array_map(
            fn (KeptWorking $w): KeptRow => $this->row($w, $targets, $all, $scores[$w->id()->toRfc4122()] ?? null), $workings,
        );
        $sums = [];
        foreach (Workings::all() as $name => $work) {
            $sums[] = BenchSum::of($name, $work);
        }
        $own = $this->records->all(WorkshopSum::class, ['workspace' => $revision->workspace()]);
        foreach ($own as $one) {
            $sums[] = BenchSum::of(Sums::OWN.':'.$one->id()->toRfc4122(), $one->own()->work(), $one->own());
        }
        usort($sums, static fn (BenchSum $a, BenchSum $b): int => $a->title <=> $b->title);
        $open = $this->openRuns($revision, $book);

        return new WorkingsSheet(
            WorkingWords::sheet(
                count($sums), count($kept), count(array_filter($kept, static fn (KeptRow $k): bool => $k->changed !== [])),
                count(array_filter($kept, static fn (KeptRow $k): bool => $k->isInside !== null)),
                count(array_filter($kept, static fn (KeptRow $k): bool => $k->isInside === true)),
            ),
            $sums, $kept, $this->sources($revision), $open, $targets->candidates,
            array_map(static fn (WorkshopSum $s): WorkshopSumView => $s->view(), $own), $revision->workspace()->id()->toRfc4122(),
        );
    }

    /** @return list<SourceRow> */
    private function sources(Revision $revision): array
    {
        $out = [];
        foreach ($this->records->all(Parameter::class, ['revision' => $revision]) as $parameter) {
            $view = $parameter->view();
            $text = self::ofParameter($parameter);
            if ($text !== '') {
                $out[] = SourceRow::of('parameter', $view->id, $view->name, $text, $view->measure->unit);
            }
        }
        foreach ($this->records->all(Part::class, ['revision' => $revision]) as $part) {
            $text = self::ofPart($part);
            if ($text !== '') {
                $out[] = SourceRow::of('part', $part->id()->toRfc4122(), $part->name(), $text, 'g');
            }
        }
        foreach ($this->records->all(Requirement::class, ['device' => $revision->device()]) as $requirement) {
            $view = $requirement->view();
            $out[] = SourceRow::of('requirement', $view->id, $view->statement, self::ofRequirement($requirement), $view->unit);
        }
        $words = $this->facts->readings($revision->id()->toRfc4122());
        $readings = $this->these(Reading::class, array_keys($words));
        foreach ($words as $id => $said) {
            $current = ($readings[$id] ?? null)?->view()->current;
            if ($current !== null) {
                $out[] = SourceRow::of('reading', (string) $id, $said, $current->text, $current->unit);
            }
        }

        return $out;
    }

    /** With what it is unsure by; empty where it is a word. */
    private static function ofParameter(Parameter $parameter): string
    {
        $view = $parameter->view();
        if ($view->words !== '') {
            return '';
        }

        return $view->measure->text.($view->u === null ? '' : ' ± '.Digits::short($view->u));
    }

    /** The mass of one; empty where nobody weighed it. */
    private static function ofPart(Part $part): string
    {
        $mass = $part->view()->mass;

        return $mass === null ? '' : Numbers::set($mass, 'g');
    }

    private static function ofRequirement(Requirement $requirement): string
    {
        $view = $requirement->view();

        return Numbers::set($view->limit, $view->unit);
    }

    /** @return list<OpenRun> */
    private function openRuns(Revision $build, Book $book): array
    {
        $words = $this->facts->openRuns($build->id()->toRfc4122());
        $out = [];
        foreach ($this->these(Run::class, array_keys($words)) as $id => $run) {
            foreach ($run->configuration()->channels as $channel) {
                $out[] = new OpenRun($id, $channel->key, $words[$id].': '.$book->metric($channel->metric), $channel->unit);
            }
        }

        return $out;
    }

    /**
     * What the entries of some workings are now: by kind and identifier, without what was withdrawn.
     *
     * @param list<KeptWorking> $workings
     *
     * @return array<string, string>
     */
    private function now(array $workings): array
    {
        $ids = ['parameter' => [], 'part' => [], 'reading' => [], 'requirement' => []];
        foreach ($workings as $working) {
            foreach ($working->view()->inputs as $entry) {
                $from = [
                    'parameter' => $entry->parameter, 'part' => $entry->part, 'reading' => $entry->reading,
                    'requirement' => $entry->requirement,
                ];
                foreach (array_filter($from) as $kind => $id) {
                    $ids[$kind][] = $id;
                }
            }
        }
        $out = [];
        foreach ($this->these(Parameter::class, $ids['parameter']) as $id => $parameter) {
            $out['parameter '.$id] = self::ofParameter($parameter);
        }
        foreach ($this->these(Part::class, $ids['part']) as $id => $part) {
            $out['part '.$id] = self::ofPart($part);
        }
        foreach ($this->these(Requirement::class, $ids['requirement']) as $id => $requirement) {
            $out['requirement '.$id] = self::ofRequirement($requirement);
        }
        foreach ($this->these(Reading::class, $ids['reading']) as $id => $reading) {
            $out['reading '.$id] = $reading->view()->current->text;
        }

        return array_filter($out, static fn (string $text): bool => $text !== '');
    }

    /**
     * @template T of Record
     *
     * @param class-string<T> $class
     * @param list<string>    $ids
     *
     * @return array<string, T> by identifier, without those that were withdrawn
     */
    private function these(string $class, array $ids): array
    {
        $out = [];
        foreach ($ids === [] ? [] : $this->records->all($class, ['id' => array_map(Uuid::fromString(...), array_values(array_unique($ids)))]) as $one) {
            $out[$one->id()->toRfc4122()] = $one;
        }

        return $out;
    }

    /** @param array<string, string> $all */
    private static function follows(WorkEntry $entry, array $all): string
    {
        return match (true) {
            $entry->parameter !== null => $all['parameter '.$entry->parameter] ?? '',
            $entry->part !== null => $all['part '.$entry->part] ?? '',
            $entry->requirement !== null => $all['requirement '.$entry->requirement] ?? '',
            $entry->reading !== null => $all['reading '.$entry->reading] ?? '',
            default => '',
        };
    }

    /** @param array<string, string> $all what the entries are now */
    private function row(KeptWorking $working, Targets $targets, array $all, ?Score $score): KeptRow
    {
        $view = $working->view();
        $work = self::workOf($view);
        $changed = $entries = [];
        foreach ($view->inputs as $entry) {
            $now = self::follows($entry, $all);
            $isChanged = $now !== '' && $now !== $entry->text;
            $entries[] = new WorkEntry($entry->name, $isChanged ? $now : $entry->text);
            if ($isChanged) {
                $changed[] = new ChangedRow($entry->name, $work?->about->field($entry->name)->words ?? $entry->name, $now, $entry->text);
            }
        }
        [$now, $problem] = $changed === [] || $work === null ? ['', ''] : self::anew(
            new WorkInput($view->sum, $entries, $view->output, $view->unit, own: $view->own),
        );

        return new KeptRow(
            $view, $work->about->title ?? $view->sum, $working->revision()->letter(), $working->kept()->text ?? '', $now,
            $changed, $problem,
            $score->run ?? '', $score->came ?? '', $score?->isInside, $targets->fitting($working->kept()->unit ?? ''),
            $work === null || $view->own === null ? null : BenchSum::of(Sums::OWN, $work, $view->own),
        );
    }

    /** Null where this version knows it no more. */
    private static function workOf(WorkingView $view): ?Work
    {
        try {
            return Sums::of($view->sum, $view->own);
        } catch (Invalid) {
            return null;
        }
    }

    /** @return array{string, string} the answer now, or why there is none */
    private static function anew(WorkInput $input): array
    {
        $output = $input->output;
        try {
            $sheet = Bench::work($input);
        } catch (Invalid $e) {
            return ['', $e->getMessage()];
        }
        foreach ($sheet->answers as $answer) {
            if ($answer->name === $output) {
                return [$answer->text, ''];
            }
        }

        return ['', $sheet->problems === [] ? $sheet->problem : $sheet->problems[0]->text];
    }
}
