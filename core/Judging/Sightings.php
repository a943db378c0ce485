<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Run\Alikeness;
use Lustrum\Core\Run\AsSet;
use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\RunFact;

/** What some runs say of every metric, before it is put together with what others say. */
final readonly class Sightings
{
    /**
     * @param list<Bunch>   $bunches
     * @param list<Answers> $answers one for each metric that was asked for
     */
    private function __construct(
        public array $bunches,
        public array $answers,
    ) {
    }

    /**
     * @param list<RunFact>                   $runs finished ones
     * @param callable(Configuration): string $key  that each configuration is known by
     */
    public static function gather(array $runs, callable $key): self
    {
        $bunches = $answers = $keys = [];
        foreach ($runs as $run) {
            $alike = Alikeness::of($run);
            $made = $keys[spl_object_id($run->configuration)] ??= $key($run->configuration);
            $known = [];
            $set = AsSet::of($run);
            $as = AsSet::key($set);
            foreach ($run->readings as $r) {
                // One of two channels that read the same is the one that counts: the first.
                if (isset($known[$r->metric])) {
                    continue;
                }
                $known[$r->metric] = true;
                $like = Bunch::keyOf($r->metric, $r->channel, $r->instrument, $r->unit, $made, $alike, $as);
                $bunches[$like] ??= new Bunch(
                    $r->metric, $run->method, $r->channel, $r->instrument, $r->unit, $made, $alike, $run->serial(), $set,
                );
                $bunches[$like]->take($run, $r);
            }
            foreach ($run->configuration->questions as $question) {
                ($answers[$question->metric] ??= new Answers($question->metric))->take($run, $alike, $made);
            }
        }

        return new self(array_values($bunches), array_values($answers));
    }

    /** @return list<string> keys of the configurations, some of them more than once */
    public function made(): array
    {
        return [
            ...array_map(static fn (Bunch $b): string => $b->circumstances->made, $this->bunches),
            ...array_merge(...array_map(static fn (Answers $a): array => array_map(
                static fn (array $g): string => $g['made']->made, array_values($a->groups),
            ), $this->answers)),
        ];
    }
}
