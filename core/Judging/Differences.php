<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\Deviation;
use Lustrum\Core\Run\DeviationKind;
use Lustrum\Core\Run\Parameter;
use Lustrum\Core\Run\Part;

/** What was edited in a build after runs were made with it. */
final class Differences
{
    /** @return list<Difference> between what the run was made with and the build as it is written down now */
    public static function of(Configuration $was, Build $is): array
    {
        $is = $is->as($was->arm);

        return [
            ...self::parameters($was->parameters, $is->parameters),
            ...self::parts($was->parts, $is->parts), ...self::otherwise($was, $is->parts),
            // What was typed on a run is a difference of that run, and makes it no older than its build.
            ...($was->firmware === $is->firmware || $was->ownFirmware ? [] : [
                new Difference('firmware', 'firmware', $was->firmware, $is->firmware),
            ]),
        ];
    }

    /**
     * Parts that the article has otherwise than its build.
     *
     * @param list<Part> $is
     *
     * @return list<Difference>
     */
    private static function otherwise(Configuration $was, array $is): array
    {
        $out = [];
        foreach ($was->deviants as $deviation) {
            if ($deviation->kind === DeviationKind::Part) {
                $named = array_filter(
                    $is, static fn (Part $p): bool => Deviation::tidy($p->name) === Deviation::tidy($deviation->name),
                );
                $now = array_values($named)[0] ?? null;
                if ($now === null || !$deviation->isOf($now->material)) {
                    $out[] = new Difference('own', $deviation->name, $deviation->value, $now->material ?? '');
                }
            }
        }

        return $out;
    }

    /** @return list<Difference> between what two runs were made with */
    public static function made(Configuration $was, Configuration $is): array
    {
        return [
            ...self::parameters($was->parameters, $is->parameters), ...self::parts($was->parts, $is->parts),
            ...($was->firmware === $is->firmware ? [] : [new Difference('firmware', 'firmware', $was->firmware, $is->firmware)]),
        ];
    }

    /** @return list<Difference> between two builds as they are written down now; the variant that was chosen of one is what it is */
    public static function between(Build $was, Build $is): array
    {
        [$was, $is] = [$was->as($was->chosenArm), $is->as($is->chosenArm)];

        return [
            ...self::parameters($was->parameters, $is->parameters), ...self::parts($was->parts, $is->parts),
            ...($was->firmware === $is->firmware ? [] : [new Difference('firmware', 'firmware', $was->firmware, $is->firmware)]),
        ];
    }

    /**
     * Those that no change record explains: 'changed, nobody said why'.
     *
     * @param list<Difference> $differences
     * @param list<ChangeFact> $changes
     *
     * @return list<Difference>
     */
    public static function unexplained(array $differences, array $changes): array
    {
        return array_values(array_filter($differences, static fn (Difference $d): bool => array_filter(
            $changes, static fn (ChangeFact $c): bool => $c->explains($d),
        ) === []));
    }

    /**
     * @param list<string> $dependsOn what a requirement depends on; empty: on everything
     *
     * @return list<Difference> those that matter to it
     */
    public static function touching(Configuration $was, Build $is, array $dependsOn, string $metric = ''): array
    {
        return self::that(self::of($was, $is), $dependsOn, $is->unrelated->to($metric));
    }

    /**
     * @param list<Difference> $differences
     * @param list<string>     $dependsOn   what something depends on; empty: on everything
     * @param list<string>     $unrelated   what somebody said bears on nothing of it, in one spelling
     *
     * @return list<Difference> those that matter to it
     */
    public static function that(array $differences, array $dependsOn, array $unrelated = []): array
    {
        return array_values(array_filter($differences, static fn (Difference $d): bool => $d->touches($dependsOn)
            && !in_array(Deviation::inOneSpelling($d->name()), $unrelated, true)));
    }

    /**
     * @param list<Parameter> $was
     * @param list<Parameter> $is
     *
     * @return list<Difference>
     */
    private static function parameters(array $was, array $is): array
    {
        $text = static fn (Parameter $p): string => $p->text();
        $own = static fn (Parameter $p): bool => !$p->follows;
        $before = array_column(array_filter($was, $own), null, 'name');
        $out = [];
        foreach (array_filter($is, $own) as $parameter) {
            $old = $before[$parameter->name] ?? null;
            unset($before[$parameter->name]);
            if ($old === null || !$old->equals($parameter)) {
                $out[] = new Difference('parameter', $parameter->name, $old === null ? '' : $text($old), $text($parameter));
            }
        }
        foreach ($before as $gone) {
            $out[] = new Difference('parameter', $gone->name, $text($gone), '');
        }

        return $out;
    }

    /**
     * @param list<Part> $was
     * @param list<Part> $is
     *
     * @return list<Difference>
     */
    private static function parts(array $was, array $is): array
    {
        $before = array_column($was, null, 'name');
        $out = [];
        foreach ($is as $part) {
            $old = $before[$part->name] ?? null;
            unset($before[$part->name]);
            if ($old === null || $old->quantity !== $part->quantity) {
                $out[] = new Difference(
                    'part', $part->name, $old === null ? '' : Digits::short($old->quantity), Digits::short($part->quantity),
                );
            } elseif ($old->material !== $part->material) {
                $out[] = new Difference('material', $part->name, $old->material, $part->material);
            }
        }
        foreach ($before as $gone) {
            $out[] = new Difference('part', $gone->name, Digits::short($gone->quantity), '');
        }

        return $out;
    }
}
