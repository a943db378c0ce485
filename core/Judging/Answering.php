<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

/** Changes, or candidates, that answer one mode of failure together: no trial tells which of them ended it. */
final class Answering
{
    /**
     * @param array<string, list<string>> $failures that each answers, by what answers them
     * @param array<string, string>       $modes    of failures, by identifier; of one that is not here nobody knows its mode
     *
     * @return array<string, array{mode: string, by: list<string>}> by mode, as it was written last: where there are several
     */
    public static function together(array $failures, array $modes): array
    {
        $out = [];
        foreach ($failures as $one => $answered) {
            $named = array_intersect_key($modes, array_flip($answered));
            foreach (array_combine(array_map(FailureFact::keyOf(...), $named), $named) as $key => $mode) {
                $out[$key] = ['mode' => $mode, 'by' => [...$out[$key]['by'] ?? [], $one]];
            }
        }
        unset($out['']);

        return array_filter($out, static fn (array $of): bool => count($of['by']) > 1);
    }
}
