<?php

declare(strict_types=1);

namespace Lustrum\Core\Reliability;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\Statistics\NoValues;

/** Times to an event; where it did not end with the event, the time is a lower bound. */
final readonly class Lives
{
    /** @var list<float> all times, earliest first */
    private array $sorted;

    /** @var array<string, int> events at each time, earliest first; a float is no array key, so its bytes are */
    private array $eventCounts;

    /**
     * @param non-empty-list<float> $times above nought
     * @param list<bool>            $ended true: the event happened; false: stopped without it
     */
    private function __construct(
        public array $times,
        public array $ended,
    ) {
        $sorted = $times;
        sort($sorted);
        $this->sorted = $sorted;
        $events = [];
        foreach ($times as $i => $time) {
            if ($ended[$i]) {
                $events[pack('E', $time)] = ($events[pack('E', $time)] ?? 0) + 1;
            }
        }
        // Big-endian doubles above nought sort like the numbers that they are.
        ksort($events, SORT_STRING);
        $this->eventCounts = $events;
    }

    /**
     * @param list<float> $times
     * @param list<bool>  $ended
     *
     * @throws InvalidInput|NoValues
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
        $times = [];
        foreach (array_keys($this->eventCounts) as $bytes) {
            $unpacked = unpack('E', (string) $bytes);
            $times[] = is_array($unpacked) && is_float($unpacked[1]) ? $unpacked[1] : throw new \LogicException('A time was packed here.');
        }

        return $times;
    }

    /** How many had lived to this time. */
    public function atRisk(float $time): int
    {
        $low = 0;
        $high = count($this->sorted);
        while ($low < $high) {
            $mid = intdiv($low + $high, 2);
            $this->sorted[$mid] < $time ? $low = $mid + 1 : $high = $mid;
        }

        return count($this->sorted) - $low;
    }

    public function eventsAt(float $time): int
    {
        return $this->eventCounts[pack('E', $time)] ?? 0;
    }
}
