<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Build;

use Lustrum\Core\Cost\Sums;
use Lustrum\Core\Wording\BuildWords;
use Lustrum\Core\Wording\Messages;
use Lustrum\Domain\Revision\Part;

/** The parts of a build beside its parent's. */
final class PartRows
{
    /**
     * @param list<Part>      $here
     * @param list<Part>|null $parent null for a first build
     *
     * @return list<PartRow>
     */
    public static function of(array $here, ?array $parent): array
    {
        $before = [];
        foreach ($parent ?? [] as $old) {
            $before[$old->name()] = $old;
        }
        $rows = [];
        foreach ($here as $part) {
            $old = $before[$part->name()] ?? null;
            unset($before[$part->name()]);
            $differs = $old === null ? '' : self::differs($part, $old);
            $mark = match (true) {
                $old === null => $parent === null ? 'same' : 'new',
                $differs === '' => 'same',
                default => 'changed',
            };
            $rows[] = new PartRow($part->view(), self::sum([$part]), self::each($part), $mark, $differs);
        }
        foreach ($before as $gone) {
            $rows[] = new PartRow($gone->view(), self::sum([$gone]), self::each($gone), 'gone', Messages::say('build.gone'));
        }

        return $rows;
    }

    /** @param list<Part> $parts */
    public static function sum(array $parts): string
    {
        return Sums::ofParts(
            array_map(static fn (Part $p): array => ['quantity' => $p->view()->quantity, 'cost' => (string) $p->cost()], $parts),
        );
    }

    /** Cost of one. */
    private static function each(Part $part): string
    {
        return Sums::of([(string) $part->cost()]);
    }

    private static function differs(Part $part, Part $old): string
    {
        [$is, $was] = [$part->view(), $old->view()];

        return BuildWords::part([
            'material' => $was->material === $is->material ? null : $was->material,
            'quantity' => $was->quantity === $is->quantity ? null : $was->quantity,
            'cost' => $old->cost()->isEqualTo($part->cost()) ? null : Sums::of([(string) $old->cost()]),
        ]);
    }
}
