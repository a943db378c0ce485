<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Run\Alikeness;
use Lustrum\Core\Run\AsSet;
use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\Design;
use Lustrum\Core\Run\RunFact;

/** What some runs say of every metric, before it is put together with what others say. */
final readonly class Sightings
{
    /**
     * @param ByName<non-empty-list<Bunch>> $bunches by metric that was read
     * @param ByName<Answers>     $answers by metric that was asked for
     * @param list<string>        $made    keys of the configurations
     * @param list<string>        $lost    arms of which a run was lost
     */
    private function __construct(
        public ByName $bunches,
        public ByName $answers,
        public array $made,
        public array $lost = [],
    ) {
    }

    /**
     * What several say, as one.
     *
     * @param list<self> $some
     */
    public static function together(array $some): self
    {
        $seen = Seen::of($some, []);
        $answers = [];
        foreach ($seen->asked() as $metric) {
            $answers[$metric] = Answers::together(
                $metric, array_values(array_filter(array_map(static fn (self $s): ?Answers => $s->answers->get($metric), $some))),
            );
        }
        $bunches = [];
        foreach ($seen->metrics() as $metric) {
            $read = $seen->read($metric);
            $bunches += $read === [] ? [] : [$metric => $read];
        }

        return new self(
            new ByName($bunches), new ByName($answers),
            array_values(array_unique(array_merge(...array_map(static fn (self $s): array => $s->made, $some)))),
            $seen->lost(),
        );
    }

    /**
     * @param list<RunFact>                   $runs finished ones
     * @param callable(Configuration): string $key  that each configuration is known by
     * @param array<string, list<string>>     $unrelated what bears on nothing of a metric, by metric
     */
    public static function gather(array $runs, callable $key, array $unrelated = []): self
    {
        $bunches = $answers = $keys = $lost = [];
        foreach ($runs as $run) {
            $lost += $run->lost() && $run->configuration->arm !== '' ? [$run->configuration->arm => true] : [];
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
                    $r->metric, $run->method, $r->channel, $r->instrument, $r->unit, $made, $alike, $run->serial(),
                    Design::of($run->configuration, $unrelated[$r->metric] ?? []), $set,
                );
                $bunches[$like]->take($run, $r);
            }
            foreach ($run->configuration->questions as $question) {
                ($answers[$question->metric] ??= new Answers($question->metric))->take(
                    $run, $alike, $made, Design::of($run->configuration, $unrelated[$question->metric] ?? []),
                );
            }
        }

        $of = [];
        foreach ($bunches as $bunch) {
            $of[$bunch->metric][] = $bunch;
        }

        return new self(new ByName($of), new ByName($answers), array_values($keys), array_map(strval(...), array_keys($lost)));
    }
}
