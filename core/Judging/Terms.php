<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Alike\AlikeRuns;
use Lustrum\Core\Alike\Looks;
use Lustrum\Core\Alike\Scale;
use Lustrum\Core\CoreException;
use Lustrum\Core\Evidence\Measure;
use Lustrum\Core\Evidence\ValueScale;
use Lustrum\Core\Quantity\Unit;
use Lustrum\Core\Quantity\Units;
use Lustrum\Core\Statistics\Natural;
use Lustrum\Core\Statistics\Repeats;

/** On what terms a metric is judged: how sure, how often it was looked at, what its values can be. */
final readonly class Terms
{
    /** A unit of each dimension whose values have no sign. */
    private const NEVER_BELOW_NOUGHT = ['s', 'kg'];

    /**
     * @param float|null $low    least value that there can be, in the SI unit of the metric
     * @param float|null $high   greatest one
     * @param Scale|null $scale  whether effects on it add up or multiply; null: the values decide
     * @param list<string> $words of an ordered scale, lowest first; none where its values are numbers
     * @param bool       $isCount does it count events?
     * @param MethodSpread|null $spread of the repeats of its method on builds before these; null: too little is known
     * @param bool       $isComputed does it come from a calculation? Then it stands beside results, and nothing is told of it
     */
    public function __construct(
        private float $confidence,
        public Look $look = new Look(),
        private ?float $low = null,
        private ?float $high = null,
        public ?Scale $scale = null,
        public bool $isComputed = false,
        public array $words = [],
        private bool $isCount = false,
        public ?MethodSpread $spread = null,
    ) {
    }

    /**
     * Effects multiply only between values above nought.
     *
     * @param list<AlikeRuns> $runs
     */
    public function scaleOf(array $runs): ?Scale
    {
        return $this->scale === Scale::Ratio && !AlikeRuns::arePositive($runs) ? null : $this->scale;
    }

    /** After so many looks. */
    public function confidence(): float
    {
        return Looks::confidence($this->confidence, $this->look->looks);
    }

    /** May a verdict be given? */
    public function tells(): bool
    {
        return !$this->look->isSoFar && !$this->isComputed;
    }

    /** At which a claim to lie within something is made: two one-sided tests. */
    public function confidenceWithin(): float
    {
        return 2 * $this->confidence() - 1;
    }

    /** With what is known of how repeats spread. */
    public function knowing(?MethodSpread $spread): self
    {
        return new self(
            $this->confidence, $this->look, $this->low, $this->high, $this->scale, $this->isComputed, $this->words, $this->isCount,
            $spread,
        );
    }

    /** @param float $step the coarsest among the values, in the unit */
    public function repeats(string $unit, float $step): Repeats
    {
        return new Repeats($this->spread?->known($unit) ?? [], $step);
    }

    /** What is known of its values before any of them, in a unit. */
    public function measure(string $unit, float $step): Measure
    {
        return new Measure($this->natural($unit), $this->repeats($unit, $step), match (true) {
            $this->isCount => ValueScale::Count,
            $this->scale === Scale::Ratio => ValueScale::Ratio,
            default => ValueScale::Add,
        });
    }

    /** Its natural limits in a unit; none where the unit is of another dimension than they are. */
    public function natural(string $unit): Natural
    {
        try {
            $in = Units::parse($unit === '' ? '1' : $unit);
        } catch (CoreException) {
            return Natural::none();
        }
        $low = $this->low ?? (self::isNeverBelowNought($in) ? 0.0 : null);
        if ($low === null && $this->high === null) {
            return Natural::none();
        }
        $at = static fn (?float $si): ?float => $si === null ? null : $in->fromSi($si);

        return Natural::between($at($low), $at($this->high));
    }

    /** A time or a mass, whoever forgot to say so. */
    private static function isNeverBelowNought(Unit $in): bool
    {
        return array_filter(
            self::NEVER_BELOW_NOUGHT, static fn (string $unit): bool => Units::parse($unit)->dimension->equals($in->dimension),
        ) !== [];
    }
}
