<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Run\Deviation;

/**
 * Differences of which a named person said that they bear on nothing of a metric: they no longer split its runs, tilt its footing
 * or stand beside its verdicts, and stay said.
 */
final readonly class Unrelated
{
    /** @param array<string, list<array{what: string, by: string, id: string}>> $of by metric; what: 'part:belt', 'parameter:gap', 'firmware' */
    public function __construct(
        public array $of = [],
    ) {
    }

    /** @return list<string> what bears on nothing of a metric, in one spelling */
    public function to(string $metric): array
    {
        return array_map(static fn (array $said): string => Deviation::inOneSpelling($said['what']), $this->of[$metric] ?? []);
    }

    /** @return array<string, list<string>> by metric, in one spelling */
    public function all(): array
    {
        return array_combine(array_keys($this->of), array_map($this->to(...), array_map(strval(...), array_keys($this->of))));
    }
}
