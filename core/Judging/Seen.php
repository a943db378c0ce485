<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\Design;
use Lustrum\Core\Run\RunFact;

/** What the runs of one side say of every metric, put together once a metric is asked for. */
final class Seen
{
    /** @var array<string, list<Bunch>> by metric that was asked for: one of what may be put together, those of earlier runs first */
    private array $bunches = [];

    /** @var array<string, Answers> by metric that was asked for */
    private array $answers = [];

    private ?self $asBuilt = null;

    /** What this one is of one state of: what was gathered is looked through once for both. */
    private ?self $whole = null;

    /** @var array<string, list<Bunch>> by metric that was asked for: as they were gathered */
    private array $own = [];

    /**
     * @param list<Sightings>              $some
     * @param array<string, Configuration> $made that the runs were made with, by the keys that they were gathered under; more of them
     *     do no harm
     * @param string|null                  $arm  of which it is; null: of all
     * @param bool $isByVariant are only runs of one variant alike?
     * @param bool $isAsBuilt   is each article seen in one state alone?
     */
    private function __construct(
        private readonly array $some,
        private readonly array $made,
        private readonly ?string $arm = null,
        private readonly bool $isByVariant = false,
        private readonly bool $isAsBuilt = false,
    ) {
    }

    /**
     * @param list<Sightings>              $some
     * @param array<string, Configuration> $made by the keys that they were gathered under; more of them do no harm
     */
    public static function of(array $some, array $made): self
    {
        return new self($some, $made);
    }

    /**
     * @param list<Bunch> $some of one metric
     *
     * @return list<Bunch> one of what may be put together, those of earlier runs first
     */
    private static function together(array $some): array
    {
        usort($some, static fn (Bunch $a, Bunch $b): int => $a->circumstances->first <=> $b->circumstances->first);
        $out = [];
        foreach ($some as $bunch) {
            $key = $bunch->key();
            $out[$key] = isset($out[$key]) ? $out[$key]->and($bunch) : $bunch;
        }

        return array_values($out);
    }

    /** @param list<RunFact> $runs finished ones */
    public static function ofRuns(array $runs): self
    {
        $made = [];
        $sightings = Sightings::gather($runs, static function (Configuration $c) use (&$made): string {
            $made[$c->hash()] = $c;

            return $c->hash();
        });

        return self::of([$sightings], $made);
    }

    /** The same of one arm alone. */
    public function ofArm(string $arm): self
    {
        return new self($this->some, $this->made, $arm, $this->isByVariant, $this->isAsBuilt);
    }

    /** The same with each variant alike to itself alone: so that one build is compared with another variant by variant. */
    public function byVariant(): self
    {
        return new self($this->some, $this->made, $this->arm, true, $this->isAsBuilt);
    }

    /** The same, of each article one state: runs after something was changed on it are of another. */
    public function asBuilt(): self
    {
        if ($this->asBuilt === null) {
            $this->asBuilt = new self($this->some, $this->made, $this->arm, $this->isByVariant, true);
            $this->asBuilt->whole = $this;
        }

        return $this->asBuilt;
    }

    /** @return list<Design> all states that runs of a metric were made on */
    public function designs(string $metric): array
    {
        $out = [];
        foreach (self::telling($this->own($metric)) as $bunch) {
            $out[$bunch->design->key] = $bunch->design;
        }

        return array_values($out);
    }

    /** What asBuilt() leaves out of the runs of a metric. */
    public function changed(string $metric): Changed
    {
        $all = self::telling($this->own($metric));

        return Changed::between($all, self::states($all), static fn (Bunch $b): array => [$b->design, $b->circumstances->runs]);
    }

    /**
     * @param array<int, Bunch> $some
     *
     * @return array<int, Bunch>
     */
    private static function telling(array $some): array
    {
        return array_filter($some, static fn (Bunch $b): bool => $b->circumstances->runs > 0);
    }

    /**
     * @param array<int, Bunch> $some with runs that say something
     *
     * @return array<int, Bunch>
     */
    private static function states(array $some): array
    {
        return AsBuilt::of($some, static fn (Bunch $b): array => [
            $b->article."\x1d".$b->design->arm, $b->design->ownInShort(), $b->circumstances->first,
        ]);
    }

    /** @return list<Bunch> of a metric and, where it is of one, of its arm */
    private function own(string $metric): array
    {
        return $this->whole?->own($metric) ?? $this->own[$metric] ??= array_values(array_filter(
            array_merge(...array_map(static fn (Sightings $s): array => $s->bunches->get($metric) ?? [], $this->some)),
            fn (Bunch $b): bool => $this->isOf($b->circumstances->made),
        ));
    }

    private function variant(string $key): string
    {
        return ($this->made[$key] ?? null)->arm ?? '';
    }

    private function isOf(string $key): bool
    {
        return $this->arm === null || $this->variant($key) === $this->arm;
    }

    /** @return list<string> arms of which a run was lost */
    public function lost(): array
    {
        return $this->names(static fn (Sightings $s): array => $s->lost);
    }

    /** @return list<string> metrics that were read */
    public function metrics(): array
    {
        $names = $this->names(static fn (Sightings $s): array => $s->bunches->names());

        return $this->arm === null ? $names : array_values(array_filter($names, fn (string $metric): bool => $this->read($metric) !== []));
    }

    /** @return list<string> metrics that were asked for */
    public function asked(): array
    {
        return $this->names(static fn (Sightings $s): array => $s->answers->names());
    }

    /**
     * @param callable(Sightings): list<string> $of
     *
     * @return list<string> by first appearance
     */
    private function names(callable $of): array
    {
        return array_values(array_unique(array_merge(...array_map($of, $this->some))));
    }

    /** @return list<Bunch> those of earlier runs first */
    public function read(string $metric): array
    {
        if (!isset($this->bunches[$metric])) {
            $own = $this->own($metric);
            $own = $this->isAsBuilt ? array_values(self::states(self::telling($own))) : $own;
            $this->bunches[$metric] = self::together($this->isByVariant ? array_map(
                fn (Bunch $b): Bunch => $b->asVariant($this->variant($b->circumstances->made)), $own,
            ) : $own);
        }

        return $this->bunches[$metric];
    }

    /** Null where no run that was asked for it held or failed. */
    public function answered(string $metric): ?Answers
    {
        if (!isset($this->answers[$metric])) {
            $own = Answers::together($metric, array_values(array_filter(
                array_map(static fn (Sightings $s): ?Answers => $s->answers->get($metric), $this->some),
            )))->where($this->isOf(...));
            $own = $this->isAsBuilt ? $own->asBuilt() : $own;
            $this->answers[$metric] = $this->isByVariant ? $own->byVariant($this->variant(...)) : $own;
        }

        return $this->answers[$metric]->tried === 0 ? null : $this->answers[$metric];
    }

    public function configuration(string $key): Configuration
    {
        return $this->made[$key] ?? throw new \LogicException('That configuration was not handed on with what was made with it.');
    }
}
