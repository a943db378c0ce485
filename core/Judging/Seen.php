<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\RunFact;

/** What the runs of one side say of every metric. */
final readonly class Seen
{
    /**
     * @param array<array-key, list<Bunch>>  $bunches by metric, those of earlier runs first
     * @param array<array-key, Answers>      $answers by metric
     * @param array<string, Configuration>   $made    that the runs were made with, by key
     */
    private function __construct(
        private array $bunches,
        private array $answers,
        private array $made,
    ) {
    }

    /**
     * @param list<Sightings>              $some
     * @param array<string, Configuration> $made by the keys that they were gathered under; more of them do no harm
     */
    public static function of(array $some, array $made): self
    {
        $bunches = $answers = [];
        foreach ($some as $sightings) {
            foreach ($sightings->bunches as $bunch) {
                $bunches[$bunch->metric][] = $bunch;
            }
            foreach ($sightings->answers as $one) {
                $answers[$one->metric][] = $one;
            }
        }
        $bunches = array_map(self::together(...), $bunches);
        $together = [];
        foreach ($answers as $metric => $of) {
            $together[$metric] = Answers::together((string) $metric, $of);
        }

        return new self($bunches, $together, $made);
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
        $isOf = fn (string $key): bool => ($this->made[$key] ?? null)?->arm === $arm;
        $bunches = array_filter(array_map(static fn (array $of): array => array_values(
            array_filter($of, static fn (Bunch $b): bool => $isOf($b->circumstances->made)),
        ), $this->bunches), static fn (array $of): bool => $of !== []);
        $answers = array_map(static fn (Answers $a): Answers => $a->where($isOf), $this->answers);

        return new self($bunches, $answers, $this->made);
    }

    /** @return list<string> metrics that were read */
    public function metrics(): array
    {
        return array_map(strval(...), array_keys($this->bunches));
    }

    /** @return list<string> metrics that were asked for */
    public function asked(): array
    {
        return array_map(strval(...), array_keys($this->answers));
    }

    /** @return list<Bunch> */
    public function read(string $metric): array
    {
        return $this->bunches[$metric] ?? [];
    }

    /** Null where no run that was asked for it held or failed. */
    public function answered(string $metric): ?Answers
    {
        $answers = $this->answers[$metric] ?? null;

        return $answers === null || $answers->tried === 0 ? null : $answers;
    }

    public function configuration(string $key): Configuration
    {
        return $this->made[$key] ?? throw new \LogicException('That configuration was not handed on with what was made with it.');
    }
}
