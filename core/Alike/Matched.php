<?php

declare(strict_types=1);

namespace Lustrum\Core\Alike;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\NotEstimable;
use Lustrum\Core\Statistics\NoValues;

/** Runs of two sides, sorted into what both have and what only one has. */
final readonly class Matched
{
    /**
     * @param non-empty-list<AlikeRuns> $used  those in strata that both sides have
     * @param list<Alone>              $onlyA strata of the first side alone, by first appearance
     * @param list<Alone>              $onlyB
     * @param bool                     $blocked do blocks pair them?
     */
    private function __construct(
        public array $used,
        public array $onlyA,
        public array $onlyB,
        public bool $blocked,
    ) {
    }

    /**
     * @param list<AlikeRuns> $runs whose sides are a and b
     *
     * @throws NoValues|InvalidInput|NotEstimable
     */
    public static function of(array $runs): self
    {
        if ($runs === []) {
            throw NoValues::given('runs');
        }
        $sides = [];
        foreach ($runs as $i => $run) {
            if (($run->block === null) !== ($runs[0]->block === null)) {
                throw InvalidInput::because('Either every run names its block or none does.', 'runs/'.$i.'/block');
            }
            $sides[$run->stratum][$run->side] = new Alone($run->cell, $run->block);
        }
        $used = array_values(array_filter($runs, static fn (AlikeRuns $r): bool => count($sides[$r->stratum]) === 2));
        if ($used === []) {
            throw NotEstimable::because(
                'values.unmatched', 'The two sides have nothing in common: no level was run on both.', 'runs',
            );
        }
        $only = static fn (string $side): array => array_values(array_map(
            static fn (array $s): Alone => $s[$side], array_filter($sides, static fn (array $s): bool => array_keys($s) === [$side]),
        ));

        return new self($used, $only('a'), $only('b'), $used[0]->block !== null);
    }

    /** @return list<Stratum> of the runs that are used, by first appearance */
    public function strata(): array
    {
        return self::strataOf($this->used);
    }

    /**
     * @param list<AlikeRuns> $runs in strata that both sides have
     *
     * @return list<Stratum>
     */
    public static function strataOf(array $runs): array
    {
        $values = $names = [];
        foreach ($runs as $run) {
            $key = $run->stratum;
            $names[$key] ??= [$run->cell, $run->block];
            foreach ($run->values as $value) {
                $values[$key][$run->side][] = $value;
            }
        }
        $out = [];
        foreach ($names as $key => [$cell, $block]) {
            [$a, $b] = [$values[$key]['a'] ?? [], $values[$key]['b'] ?? []];
            if ($a !== [] && $b !== []) {
                $out[] = new Stratum($cell, $block, $a, $b);
            }
        }

        return $out;
    }
}
