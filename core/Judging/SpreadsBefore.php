<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

/** What was known of how repeats spread before each build, and before a comparison of several. */
final class SpreadsBefore
{
    private const STAMP = 12;

    /** @var array<string, int> place of each build, oldest first */
    private array $places;

    /** @var array<string, array<string, array<int, MethodSpread|null>>> by metric, way of reading and place: of all builds before it */
    private array $sums = [];

    /** @var array<string, MethodSpread|null> by metric and builds */
    private array $known = [];

    /**
     * @param array<string, array<string, array<string, MethodSpread>>> $all       by build, oldest first, then by metric and how
     * @param \Closure(string): list<MethodSpread>                      $elsewhere measured so on other devices, asked where these
     *     tell too little
     */
    public function __construct(
        private readonly array $all,
        private readonly \Closure $elsewhere,
    ) {
        $this->places = array_flip(array_map(strval(...), array_keys($all)));
    }

    /**
     * Of the one way in which all that is compared was measured, on the builds before the newest of it, those that are compared left out.
     *
     * @param list<string> $compared builds
     *
     * @return MethodSpread|null null where too little is known, or it was measured in several ways
     */
    public function of(string $metric, array $compared): ?MethodSpread
    {
        $key = implode(':', [$metric, ...$compared]);
        if (!array_key_exists($key, $this->known)) {
            $this->known[$key] = $this->workOut($metric, $compared);
        }

        return $this->known[$key];
    }

    /**
     * What is kept of these builds and rests on what was known before them is kept under this; empty: nothing was.
     *
     * @param list<string> $compared
     */
    public function stamp(array $compared): string
    {
        $said = '';
        $metrics = [];
        foreach ($compared as $build) {
            $metrics += $this->all[$build] ?? [];
        }
        ksort($metrics);
        foreach (array_keys($metrics) as $metric) {
            $spread = $this->of((string) $metric, $compared);
            $said .= $spread === null ? '' : implode(' ', [
                $metric, $spread->squares, $spread->logSquares, $spread->df, $spread->runs, ...$spread->letters, $spread->device,
            ])."\n";
        }

        return $said === '' ? '' : substr(hash('xxh128', $said), 0, self::STAMP);
    }

    /** @param list<string> $compared */
    private function workOut(string $metric, array $compared): ?MethodSpread
    {
        $ways = [];
        foreach ($compared as $build) {
            $ways += $this->all[$build][$metric] ?? [];
        }
        if (count($ways) !== 1) {
            return null;
        }
        $way = (string) array_key_first($ways);
        $places = array_map(fn (string $build): int => $this->places[$build] ?? 0, $compared);
        $newest = max($places);
        $own = array_diff($places, [$newest]) === []
            ? $this->sums($metric, $way)[$newest] ?? null : $this->without($metric, $way, $newest, $compared);

        return MethodSpread::together($own === null ? [] : [$own]) ?? MethodSpread::together(($this->elsewhere)($ways[$way]->how));
    }

    /** @return array<int, MethodSpread|null> by place: of all builds before it */
    private function sums(string $metric, string $way): array
    {
        if (!isset($this->sums[$metric][$way])) {
            $sum = null;
            $out = [];
            foreach (array_values($this->all) as $place => $of) {
                $out[$place] = $sum;
                $one = $of[$metric][$way] ?? null;
                $sum = $one === null || $one->df === 0 ? $sum : ($sum?->and($one) ?? $one);
            }
            $this->sums[$metric][$way] = $out;
        }

        return $this->sums[$metric][$way];
    }

    /** @param list<string> $compared */
    private function without(string $metric, string $way, int $newest, array $compared): ?MethodSpread
    {
        $some = [];
        foreach (array_diff_key(array_slice($this->all, 0, $newest, true), array_flip($compared)) as $of) {
            $one = $of[$metric][$way] ?? null;
            if ($one !== null && $one->df > 0) {
                $some[] = $one;
            }
        }

        return $some === [] ? null : MethodSpread::sum($some);
    }
}
