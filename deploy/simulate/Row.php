<?php

declare(strict_types=1);

use Lustrum\Core\Statistics\Proportion;

/** One kind of sentence at one size: how often it is false, or how often something real is found. */
final readonly class Row
{
    /**
     * @param string                                 $says   the sentence, and at which size
     * @param float|null                             $most   per cent of times that it may be said where it is false
     * @param float|null                             $least  per cent of times that it is to be said where it is so
     * @param list<float>                            $spreads of articles, in spreads of runs: the worst counts; [0.0] where it has no bearing
     * @param Closure(Chance, float): bool           $said   makes a workshop, and says whether the sentence was said
     */
    public function __construct(
        public string $says,
        public ?float $most,
        public ?float $least,
        public Closure $said,
        public array $spreads = [0.0],
    ) {
    }

    /** @return array{float, float, float} per cent, with the interval of Wilson (1927) */
    public function rate(int $times, int $seed): array
    {
        $worst = null;
        foreach ($this->spreads as $i => $spread) {
            $chance = new Chance($seed + $i);
            $n = 0;
            for ($t = 0; $t < $times; ++$t) {
                $n += ($this->said)($chance, $spread) ? 1 : 0;
            }
            $worst = $worst === null ? $n : ($this->most === null ? min($worst, $n) : max($worst, $n));
        }
        $of = Proportion::of($worst, $times)->score(Bench::CONFIDENCE);

        return [100 * $of->estimate, 100 * max(0.0, $of->low ?? 0.0), 100 * min(1.0, $of->high ?? 1.0)];
    }

    /** Missed only where the whole interval lies beyond what is asked. */
    public function isMissed(float $low, float $high): bool
    {
        return ($this->most !== null && $low > $this->most) || ($this->least !== null && $high < $this->least);
    }

    public function asked(): string
    {
        return match (true) {
            $this->most !== null => sprintf('at most %s %%', $this->most),
            $this->least !== null => sprintf('at least %s %%', $this->least),
            default => '',
        };
    }
}
