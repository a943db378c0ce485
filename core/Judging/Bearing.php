<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Footing\Difference as FootingDifference;
use Lustrum\Core\Footing\FootingCheck;
use Lustrum\Core\Footing\Reason;
use Lustrum\Core\Run\Design;

/** A difference that bears on a metric until a named person says that it does not. */
final readonly class Bearing
{
    /**
     * @param string $build of which it is said
     * @param string $what  'part:belt', 'parameter:gap', 'lot:wax', 'firmware'
     * @param string $name  of the part, parameter or material; empty: the firmware
     */
    private function __construct(
        public string $build,
        public string $what,
        public string $name,
    ) {
    }

    /**
     * What parts two builds in a metric beside what their changes say: what their articles have otherwise, lots, firmware, and what
     * differs without a change.
     *
     * @param list<array{Build, list<Design>}> $sides     states that runs of the metric were made on, this build first
     * @param list<string>                     $dependsOn
     *
     * @return list<self> each once
     */
    public static function between(array $sides, string $metric, array $dependsOn, ?FootingCheck $footing): array
    {
        $out = [];
        foreach ($sides as [$build, $designs]) {
            foreach (array_merge(...array_map(static fn (Design $d): array => $d->own, $designs), ...[[]]) as $what => $said) {
                $out[$what] ??= new self($build->id, (string) $what, substr((string) $what, strpos((string) $what, ':') + 1));
            }
        }
        [$here, $there] = [$sides[0][0], $sides[1][0] ?? null];
        if ($there !== null && $here->parent === $there->id) {
            $unexplained = Differences::unexplained(Differences::between($there, $here), $here->changes);
            foreach (Differences::that($unexplained, $dependsOn, $here->unrelated->to($metric)) as $difference) {
                $out[$difference->name()] ??= new self(
                    $here->id, $difference->name(), $difference->kind === 'firmware' ? '' : $difference->name,
                );
            }
        }
        foreach ($footing->differences ?? [] as $found) {
            $what = self::ofFooting($found);
            if ($what !== null) {
                $out[$what] ??= new self($here->id, $what, (string) ($found->with['name'] ?? ''));
            }
        }

        return array_values($out);
    }

    private static function ofFooting(FootingDifference $found): ?string
    {
        return match ($found->reason) {
            Reason::Lot, Reason::LotUnknown => 'lot:'.($found->with['name'] ?? ''),
            Reason::Firmware => 'firmware',
            default => null,
        };
    }
}
