<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Quantity\Units;
use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Statistics\KnownSpread;
use Lustrum\Core\Statistics\Sample;

/**
 * How far repeats of one method spread, of one metric, on one build or on several: within cells, configurations and articles.
 *
 * It is kept as squares and degrees, so that what several builds say can be put together, and those that are compared left out.
 */
final readonly class MethodSpread
{
    /** Degrees of freedom from which on a plan may speak of it, and say how little that is. */
    public const TO_PLAN = 2.0;

    /**
     * @param string       $how        method, channel, unit and rig, as one word: a new rig begins anew
     * @param int          $edition    of the method: so does a new one of these
     * @param float        $squares    in SI, with $df degrees
     * @param float|null   $logSquares the same of logarithms; null where a value is not above nought
     * @param int          $runs       that these come from
     * @param list<string> $letters    of the builds, oldest first
     * @param string       $device     that they are of; empty: the one that is looked at
     */
    private function __construct(
        public string $how,
        public string $method,
        public float $squares,
        public ?float $logSquares,
        public int $df,
        public int $runs,
        public array $letters,
        public int $edition = 0,
        public string $device = '',
    ) {
    }

    /** @return array<string, array<string, self>> of one build, by metric and then by how it was measured; also where nothing repeats */
    public static function ofBuild(Seen $seen, string $letter): array
    {
        $out = [];
        foreach ($seen->metrics() as $metric) {
            foreach ($seen->read($metric) as $bunch) {
                if ($bunch->values !== []) {
                    $one = self::ofBunch($bunch, $seen->configuration($bunch->circumstances->made), $letter);
                    $key = $one->how."\x1f".$one->edition;
                    $out[$metric][$key] = isset($out[$metric][$key]) ? $out[$metric][$key]->and($one) : $one;
                }
            }
        }

        return $out;
    }

    private static function ofBunch(Bunch $bunch, Configuration $made, string $letter): self
    {
        // A level that nobody knows is like none, not even like another that is not known: nothing of it repeats.
        $n = $bunch->alike->isKnown() ? count($bunch->values) : 1;
        $hasLogarithms = $bunch->values !== [] && min($bunch->values) > 0;

        return new self(
            implode("\x1f", [$made->methodName, $bunch->channel, $bunch->instrument, $bunch->unit, $made->rig]),
            $made->methodName, $n < 2 ? 0.0 : Sample::of($bunch->values)->squares(),
            $n < 2 ? 0.0 : ($hasLogarithms ? Sample::of(array_map(log(...), $bunch->values))->squares() : null), max(0, $n - 1), $n < 2 ? 0 : $n,
            $n < 2 ? [] : [$letter], $made->methodVersion,
        );
    }

    /** Both together. */
    public function and(self $other): self
    {
        return new self(
            $this->how, $this->method, $this->squares + $other->squares,
            $this->logSquares === null || $other->logSquares === null ? null : $this->logSquares + $other->logSquares,
            $this->df + $other->df, $this->runs + $other->runs, array_values(array_unique([...$this->letters, ...$other->letters])), $this->edition,
            implode(', ', array_unique([$this->device, $other->device])),
        );
    }

    /**
     * How it went, build by build, in one way of reading: the last one.
     *
     * @param array<string, array<string, array<string, self>>> $all by build, oldest first, then by metric and how
     *
     * @return list<self> oldest first; of builds on which something was repeated
     */
    public static function course(array $all, string $method, ?int $edition, string $metric, ?string $rig = null): array
    {
        $out = [];
        foreach ($all as $of) {
            foreach ($of[$metric] ?? [] as $one) {
                if ($one->method === $method && ($edition === null || $one->edition === $edition) && $one->df > 0
                    && ($rig === null || str_ends_with($one->how, "\x1f".$rig))) {
                    $out[] = $one;
                }
            }
        }
        $last = ($out[count($out) - 1] ?? null)->how ?? '';

        return array_values(array_filter($out, static fn (self $s): bool => $s->how === $last));
    }

    /**
     * @param array<string, array<string, array<string, self>>> $all by build, oldest first, then by metric and how
     *
     * @return list<self> over all builds and editions, one for each way of reading in which something was repeated
     */
    public static function byHow(array $all): array
    {
        $of = [];
        foreach ($all as $metrics) {
            foreach ($metrics as $ways) {
                foreach ($ways as $one) {
                    if ($one->df > 0) {
                        $of[$one->how][] = $one;
                    }
                }
            }
        }

        return array_values(array_map(self::sum(...), $of));
    }

    /**
     * @param list<self> $some  oldest first
     * @param float      $least degrees of freedom
     *
     * @return self|null null where they tell too little
     */
    public static function together(array $some, float $least = KnownSpread::LEAST): ?self
    {
        $all = $some === [] ? null : self::sum($some);

        return $all === null || $all->df < $least || $all->squares <= 0.0 ? null : $all;
    }

    public function of(string $device): self
    {
        return new self(
            $this->how, $this->method, $this->squares, $this->logSquares, $this->df, $this->runs, $this->letters, $this->edition, $device,
        );
    }

    /** @param non-empty-list<self> $some oldest first */
    public static function sum(array $some): self
    {
        $all = array_shift($some);
        foreach ($some as $one) {
            $all = $all->and($one);
        }

        return $all;
    }

    /** How well it is known itself, as a share of it: one standard error either way. */
    public function doubt(): float
    {
        return 1 / sqrt(2 * $this->df);
    }

    /** The standard deviation in a unit. */
    public function sd(string $unit): float
    {
        return sqrt($this->squares / $this->df) / Units::parse($unit === '' ? '1' : $unit)->factor;
    }

    /** @return list<KnownSpread> in a unit, and of logarithms where there are any */
    public function known(string $unit): array
    {
        $ratio = $this->logSquares === null || $this->logSquares <= 0.0 ? [] : [
            KnownSpread::of(sqrt($this->logSquares / $this->df), $this->df, true),
        ];

        return [KnownSpread::of($this->sd($unit), $this->df), ...$ratio];
    }
}
