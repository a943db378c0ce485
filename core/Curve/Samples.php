<?php

declare(strict_types=1);

namespace Lustrum\Core\Curve;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\Statistics\NoValues;

/** Values along time, or along any other rising quantity. */
final readonly class Samples
{
    /**
     * @param non-empty-list<float> $t rising
     * @param non-empty-list<float> $y
     */
    private function __construct(
        public array $t,
        public array $y,
    ) {
    }

    /**
     * @param list<float> $t
     * @param list<float> $y
     *
     * @throws InvalidInput|NoValues
     */
    public static function of(array $t, array $y): self
    {
        if ($t === [] || $y === []) {
            throw NoValues::given('t');
        }
        if (count($t) !== count($y)) {
            throw InvalidInput::because(sprintf('There are %d times and %d values.', count($t), count($y)), 'y');
        }
        for ($i = 1, $n = count($t); $i < $n; ++$i) {
            if ($t[$i] < $t[$i - 1]) {
                throw InvalidInput::because('Times must not go back.', 't/'.$i);
            }
        }

        return new self($t, $y);
    }

    /** @return array{float, float} least and greatest value */
    public function range(): array
    {
        return [min($this->y), max($this->y)];
    }

    /** So many of them at even steps, the first and the last among them; itself where there are no more. */
    public function thinned(int $most): self
    {
        $n = count($this->t);
        if ($n <= $most) {
            return $this;
        }
        $at = array_map(static fn (int $i): int => intdiv($i * ($n - 1), $most - 1), range(0, $most - 1));

        return new self(array_map(fn (int $i): float => $this->t[$i], $at), array_map(fn (int $i): float => $this->y[$i], $at));
    }
}
