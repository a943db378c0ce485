<?php

declare(strict_types=1);

namespace Lustrum\Core\Threshold;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\Statistics\Interval;
use Lustrum\Core\Statistics\NoValues;
use Lustrum\Core\Statistics\Proportion;

/**
 * Rungs of rising level, each tried a few times (`threshold.ladder`).
 *
 * Where nothing failed the highest rung is a lower bound and nothing more.
 */
final readonly class Ladder
{
    /**
     * @param float|null                                                            $highestHeld  the highest level at and below which nothing failed
     * @param float|null                                                            $lowestFailed
     * @param bool                                                                  $censored     nothing failed
     * @param list<array{level: float, held: int, tried: int, share: Interval}>     $rungs        lowest first
     */
    private function __construct(
        public ?float $highestHeld,
        public ?float $lowestFailed,
        public bool $censored,
        public array $rungs,
    ) {
    }

    /**
     * @param list<array{level: float, held: int, tried: int}> $rungs
     *
     * @throws InvalidInput|NoValues
     */
    public static function of(array $rungs, float $confidence): self
    {
        if ($rungs === []) {
            throw NoValues::given('rungs');
        }
        usort($rungs, static fn (array $a, array $b): int => $a['level'] <=> $b['level']);
        $highest = $lowest = null;
        $out = [];
        foreach ($rungs as $i => $rung) {
            if ($i > 0 && $rung['level'] === $rungs[$i - 1]['level']) {
                throw InvalidInput::because('A level stands on one rung only; add its tries up.', 'rungs/'.$i);
            }
            $out[] = $rung + ['share' => Proportion::of($rung['held'], $rung['tried'])->interval($confidence)];
            if ($rung['held'] < $rung['tried']) {
                $lowest ??= $rung['level'];
            } elseif ($lowest === null) {
                $highest = $rung['level'];
            }
        }

        return new self($highest, $lowest, $lowest === null, $out);
    }
}
