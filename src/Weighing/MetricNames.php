<?php

declare(strict_types=1);

namespace Lustrum\Weighing;

/** The names of metrics that a device knows: from requirements and channels. */
final class MetricNames
{
    /** @return list<string> */
    public static function of(Dossier $dossier): array
    {
        $names = [];
        foreach ($dossier->requirements as $requirement) {
            $names[$requirement->metric()] = true;
        }
        foreach ($dossier->methods as $method) {
            foreach ($method->channels() as $channel) {
                $names[$channel->metric] = true;
            }
        }
        $names = array_map(strval(...), array_keys($names));
        sort($names);

        return $names;
    }
}
