<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Build;

use Lustrum\Core\Cost\Sums;
use Lustrum\Core\Wording\BuildWords;
use Lustrum\Core\Wording\Messages;
use Lustrum\Core\Wording\WorkshopWords;
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

    /**
     * What is there for now only is no part of the product.
     *
     * @param list<Part> $parts
     */
    public static function product(array $parts): string
    {
        return self::sum(array_values(array_filter($parts, static fn (Part $p): bool => $p->stays())));
    }

    /** @param list<Part> $parts */
    public static function sum(array $parts): string
    {
        return Sums::ofParts(
            array_map(static fn (Part $p): array => ['quantity' => $p->view()->quantity, 'cost' => (string) $p->cost()], $parts),
        );
    }

    /**
     * What they weigh, those left out that nobody weighed or that are there for now.
     *
     * @param list<Part> $parts
     */
    public static function masses(array $parts): string
    {
        $product = array_filter($parts, static fn (Part $p): bool => $p->stays());
        $weighed = array_filter($product, static fn (Part $p): bool => $p->view()->mass !== null);

        return $parts === [] ? '' : WorkshopWords::masses(
            array_sum(array_map(static fn (Part $p): float => $p->view()->quantity * ($p->view()->mass ?? 0.0), $weighed)),
            count($product) - count($weighed), count($parts) - count($product),
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
