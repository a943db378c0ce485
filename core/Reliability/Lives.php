<?php

declare(strict_types=1);

namespace Lustrum\Core\Reliability;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\Statistics\NoValues;

/** Times to an event; where it did not end with the event, the time is a lower bound. */
final readonly class Lives
{
    /**
     * @param non-empty-list<float> $times above nought
     * @param list<bool>            $ended true: the event happened; false: stopped without it
     */
    private function __construct(
        public array $times,
        public array $ended,
    ) {
    }

    /**
     * @param list<float> $times
     * @param list<bool>  $ended
     */
    public static function of(array $times, array $ended, string $path = ''): self
    {
        if ($times === []) {
            throw NoValues::given($path.'times');
        }
        if (count($times) !== count($ended)) {
            throw InvalidInput::because(sprintf('There are %d times and %d endings.', count($times), count($ended)), $path.'ended');
        }
        foreach ($times as $i => $time) {
            if (!($time > 0) || !is_finite($time)) {
                throw InvalidInput::because('A life is longer than nought.', $path.'times/'.$i);
            }
        }

        return new self($times, $ended);
    }

    public function events(): int
    {
        return count(array_filter($this->ended));
    }

    /** @return list<float> distinct times of events, earliest first */
    public function eventTimes(): array
    {
        $times = array_values(array_unique(array_filter($this->times, fn (int $i): bool => $this->ended[$i], ARRAY_FILTER_USE_KEY)));
        sort($times);

        return $times;
    }

    public function atRisk(float $time): int
    {
        return count(array_filter($this->times, static fn (float $t): bool => $t >= $time));
    }

    public function eventsAt(float $time): int
    {
        return count(array_filter($this->times, fn (float $t, int $i): bool => $this->ended[$i] && $t === $time, ARRAY_FILTER_USE_BOTH));
    }
}
