<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Check\Implied;
use Lustrum\Core\Check\Known;
use Lustrum\Core\Check\Relations;
use Lustrum\Core\Check\RelationSeen;
use Lustrum\Core\CoreException;
use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Quantity\Units;
use Lustrum\Core\Run\RunFact;

/** Readings of a run held against the laws that bind them, as its method says what each of them measures. */
final class Contradictions
{
    /** So far off the runs before, and so many times further than any other, is a reading to be doubted: on logarithms. */
    private const FAR = 0.2;
    private const TIMES = 3.0;

    /**
     * @param array<string, Figure> $soFar what the channels of its trial came to before it, by metric
     *
     * @return list<Contradiction>
     */
    public static function of(RunFact $run, array $soFar): array
    {
        [$known, $before] = [[], []];
        foreach ($run->readings as $reading) {
            $channel = $run->configuration->channel($reading->channel);
            // A bound says nothing of this, and neither does what was worked out from the others.
            if ($channel === null || $channel->measures === '' || $channel->isDerived() || $reading->kind !== ResultKind::Equal) {
                continue;
            }
            $unit = Units::parse($reading->unit);
            try {
                $known[$channel->measures] = Known::read($channel->measures, Quantity::of(
                    $unit->fromSi($reading->si), $reading->unit, $reading->step / $unit->factor,
                ));
            } catch (CoreException) {
                // Nought volts, or a unit that the relation does not take: it takes part in none.
                continue;
            }
            $figure = $soFar[$reading->metric] ?? null;
            if ($figure !== null && $figure->value > 0.0 && $reading->si > 0.0) {
                $before[$channel->measures] = [abs(log($reading->si / Units::parse($figure->unit)->toSi($figure->value))), $figure];
            }
        }
        $seen = array_values(array_filter(
            Relations::of(array_values($known))->relations, static fn (RelationSeen $r): bool => $r->contradicts === true,
        ));

        return array_map(static fn (RelationSeen $r): Contradiction => self::doubt($r, $before, $seen), $seen);
    }

    /**
     * The one that alone is far from what runs before it read; else the one that stands in every contradiction, where there are
     * several.
     *
     * @param array<string, array{float, Figure}> $before how far off the runs before, by what was read
     * @param list<RelationSeen>                  $seen
     */
    private static function doubt(RelationSeen $relation, array $before, array $seen): Contradiction
    {
        $names = static fn (RelationSeen $r): array => array_map(static fn (Implied $i): string => $i->what, $r->implied);
        $off = array_intersect_key($before, array_flip($names($relation)));
        uasort($off, static fn (array $a, array $b): int => $b[0] <=> $a[0]);
        $furthest = array_key_first($off);
        // Of a reading that nobody read before, nobody can say that it is as it was.
        if ($furthest !== null && count($off) === count($relation->implied) && $off[$furthest][0] > self::FAR
            && $off[$furthest][0] > self::TIMES * (array_values($off)[1][0] ?? 0.0)) {
            return new Contradiction($relation, $furthest, $off[$furthest][1]);
        }
        $always = count($seen) > 1 ? array_values(array_intersect(...array_map($names, $seen))) : [];

        return new Contradiction($relation, count($always) === 1 ? $always[0] : '');
    }
}
