<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\RunFact;
use Lustrum\Core\Run\Severity;

/** What some runs of a build say of whether it holds: how hard they were, what they were asked, and when each held. */
final readonly class Tries
{
    /** Stands for the run as a whole, where a failure belongs to no question. */
    public const WHOLE = '';

    /** @param list<Tried> $groups */
    private function __construct(
        public array $groups,
    ) {
    }

    /**
     * @param list<RunFact>                   $runs finished ones
     * @param callable(Configuration): string $key  that each configuration is known by
     */
    public static function gather(array $runs, callable $key): self
    {
        $groups = $keys = $known = [];
        foreach ($runs as $run) {
            if (!$run->says()) {
                continue;
            }
            $made = $keys[spl_object_id($run->configuration)] ??= $key($run->configuration);
            $severity = Severity::ofRun($run);
            foreach ([self::WHOLE, ...array_column($run->configuration->questions, 'key')] as $question) {
                $like = implode("\x1d", [$made, $severity->key(), $question]);
                $group = $groups[$like] ??= new Tried($made, $known[$severity->inShort()] ??= $severity, $question);
                $group->take($run);
            }
        }

        return new self(array_values($groups));
    }

    /** @return list<string> keys of the configurations */
    public function made(): array
    {
        return array_values(array_unique(array_map(static fn (Tried $t): string => $t->made, $this->groups)));
    }
}
