<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Failure\Exposure;
use Lustrum\Core\Run\Hardness;

/** How often a failure can show, by what its articles came through outside trials; it is no trial, and closes nothing. */
final readonly class OutsideBound
{
    /**
     * @param string        $letter   of the build that was used
     * @param Hardness      $hardness beside where it happened; Apart: the two cannot be compared
     * @param string        $at       levels of that use, as they are said; empty where none are known
     * @param Exposure|null $exposure null where nobody said in a number how long or how often
     * @param string        $amounts  as they were written, where it is null
     */
    private function __construct(
        public string $letter,
        public Hardness $hardness,
        public string $at,
        public ?Exposure $exposure,
        public string $amounts,
    ) {
    }

    /**
     * @param list<OutsideUse>      $uses
     * @param array<string, string> $letters of the builds that count, by identifier
     *
     * @return list<self> uses of one build that were as hard, and can be added up, together
     */
    public static function of(FailureFact $failure, array $uses, array $letters): array
    {
        $out = [];
        foreach ($uses as $use) {
            $letter = $letters[$use->build] ?? null;
            if ($letter === null || !in_array($failure->key(), $use->without, true)) {
                continue;
            }
            $hardness = $use->severity === null || $failure->severity === null
                ? Hardness::Apart : $use->severity->beside($failure->severity);
            $exposure = $use->exposure();
            $at = $use->severity?->text() ?? '';
            $key = implode("\x1f", [$letter, $hardness->value, $at, $exposure?->kind() ?? '?']);
            $known = $out[$key] ?? null;
            $out[$key] = new self(
                $letter, $hardness, $at, $exposure === null ? null : $known?->exposure?->and($exposure) ?? $exposure,
                $exposure !== null ? '' : ($known === null ? $use->amount : $known->amounts.', '.$use->amount),
            );
        }

        return array_values($out);
    }
}
