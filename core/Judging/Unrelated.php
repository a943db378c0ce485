<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Change\ChangeClass;
use Lustrum\Core\Run\Deviation;

/**
 * Differences of which a named person said that they bear on nothing of a metric: they no longer split its runs, tilt its footing
 * or stand beside its verdicts, and stay said.
 */
final readonly class Unrelated
{
    /**
     * @param array<string, list<array{what: string, by: string, id: string}>> $of by metric; what: 'part:belt', 'parameter:gap',
     *     'firmware'
     */
    public function __construct(
        public array $of = [],
    ) {
    }

    /**
     * What bears on nothing of a metric, in one spelling: what was said so, and the firmware where a requirement does not hang on it.
     *
     * @param list<string> $dependsOn change classes; empty: all of them
     *
     * @return list<string>
     */
    public function to(string $metric, array $dependsOn = []): array
    {
        $isWatched = $dependsOn === [] || in_array(ChangeClass::Firmware->value, $dependsOn, true);
        $said = array_map(static fn (array $said): string => Deviation::inOneSpelling($said['what']), $this->of[$metric] ?? []);

        return [...$said, ...($isWatched ? [] : ['firmware'])];
    }

    /**
     * @param array<array-key, list<string>> $dependsOn by metric
     *
     * @return array<string, list<string>> by metric; of others nothing
     */
    public function all(array $dependsOn): array
    {
        $out = [];
        foreach (array_keys($this->of + $dependsOn) as $metric) {
            $out[(string) $metric] = $this->to((string) $metric, $dependsOn[$metric] ?? []);
        }

        return array_filter($out);
    }
}
