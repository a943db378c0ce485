<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Workshop;

use Lustrum\Core\Evidence\State;
use Lustrum\Core\Judging\Build;
use Lustrum\Core\Judging\Cell;
use Lustrum\Core\Wording\EvidenceWords;
use Lustrum\Core\Wording\WorkshopWords;
use Lustrum\Domain\Revision\Part;
use Lustrum\Facts\Books;

/** Parts that have builds of their own: how the build that is carried stands, and whether there is a newer one. */
final readonly class Modules
{
    public function __construct(
        private Books $books,
    ) {
    }

    /**
     * @param list<Part> $parts
     *
     * @return list<ModuleRow>
     */
    public function of(array $parts): array
    {
        $out = [];
        foreach ($parts as $part) {
            $module = $part->module();
            if ($module === null) {
                continue;
            }
            $book = $this->books->open($module->device());
            $build = $book->build($module->id()->toRfc4122());
            $cells = $book->cells($build);
            $shown = count(array_filter($cells, static fn (Cell $c): bool => $c->state === State::Shown));
            $newer = array_map(static fn (Build $b): string => $b->letter, $book->lineage()->descendants($build));
            $out[] = new ModuleRow(
                $part->name(), $book->device->id, $book->device->name, $build->letter,
                WorkshopWords::module(EvidenceWords::bar($shown, count($cells)), $newer),
            );
        }

        return $out;
    }
}
