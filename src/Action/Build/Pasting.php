<?php

declare(strict_types=1);

namespace Lustrum\Action\Build;

use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Core\CoreException;
use Lustrum\Core\Pasted\PartLine;
use Lustrum\Core\Pasted\PartsTable;
use Lustrum\Core\Wording\WorkshopWords;
use Lustrum\Domain\Revision\Part;
use Lustrum\Domain\Revision\PartInput;
use Lustrum\Domain\Revision\PartsPasted;
use Lustrum\Domain\Revision\PasteInput;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Record\AfterWrite;
use Lustrum\Record\Records;
use Lustrum\Record\RecordWriter;
use Lustrum\Shared\Refusal\Invalid;
use Symfony\Component\Uid\Uuid;

/** Takes over a parts list out of a spreadsheet: what is known by its name is changed, the rest is new, nothing is taken out. */
final readonly class Pasting
{
    /** So many parts has a build at most. */
    private const MOST = 1000;

    public function __construct(
        private EntityManagerInterface $em,
        private Records $records,
        private RecordWriter $writer,
        private AfterWrite $after,
    ) {
    }

    public function paste(Revision $build, PasteInput $input): PartsPasted
    {
        try {
            $table = PartsTable::read($input->text);
        } catch (CoreException $wrong) {
            throw Invalid::at('text', $wrong->getMessage());
        }

        return $this->em->wrapInTransaction(fn (): PartsPasted => $this->take($build, $table, $input->keep));
    }

    private function take(Revision $build, PartsTable $table, bool $keep): PartsPasted
    {
        $this->writer->oneAtATime($build->id());
        $known = [];
        foreach ($this->records->all(Part::class, ['revision' => $build]) as $part) {
            $known[mb_strtolower($part->name())] = $part;
        }
        $to = $build->id()->toRfc4122();
        $added = $changed = $written = [];
        foreach ($table->lines as $line) {
            $part = $known[mb_strtolower($line->name)] ?? null;
            if ($part === null) {
                $added[] = $line->name;
                $is = self::input($line, new PartInput($to, $line->name));
                $written = $keep ? [...$written, $this->writer->make(Part::class, Uuid::v7(), $is)] : [];
                continue;
            }
            $was = $part->view()->on($to);
            $is = self::input($line, $was);
            if ($was == $is) {
                continue;
            }
            $changed[] = $line->name;
            if ($keep) {
                $this->writer->amend(Part::class, $part->id(), $part->version(), fn (Part $p) => $p->fill($is, $this->records));
            }
        }
        if (count($known) + count($added) > self::MOST) {
            throw Invalid::at('text', sprintf('A build has at most %d parts.', self::MOST));
        }
        if ($written !== []) {
            $this->em->flush();
            $this->after->written($written);
        }

        return new PartsPasted(
            $added, $changed, count($table->lines) - count($added) - count($changed), $table->problems,
            WorkshopWords::pasted(count($added), count($changed), count($table->problems), $keep), $keep,
        );
    }

    private static function input(PartLine $line, PartInput $was): PartInput
    {
        return new PartInput(
            $was->revision, $was->name, $line->material ?? $was->material, $line->quantity ?? $was->quantity, $line->cost ?? $was->cost,
            $line->note ?? $was->note, $line->mass ?? $was->mass, $was->sort, $was->standing, $was->reliedOn, $was->checkedBy, $was->module,
        );
    }
}
