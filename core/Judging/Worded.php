<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

/** Results that are words of an ordered scale: which one stands in the middle, and how often each came. They have no mean. */
final readonly class Worded
{
    /**
     * @param list<string>                         $middle the one in the middle; two where it lies between them
     * @param list<array{word: string, n: int}> $each   that came, the lowest first
     * @param float $place of the middle on the scale, from 1: where it stands in a figure
     */
    private function __construct(
        public array $middle,
        public array $each,
        public float $place,
    ) {
    }

    /**
     * @param list<string> $words  of the scale, lowest first; none: its values are numbers
     * @param list<float>  $values places on it, from 1
     */
    public static function of(array $words, array $values): ?self
    {
        if ($words === [] || $values === []) {
            return null;
        }
        $places = array_map(static fn (float $v): int => max(1, min(count($words), (int) round($v))), $values);
        sort($places);
        $n = count($places);
        $middle = array_unique([$places[intdiv($n - 1, 2)], $places[intdiv($n, 2)]]);
        $each = [];
        foreach (array_count_values($places) as $place => $times) {
            $each[] = ['word' => $words[$place - 1], 'n' => $times];
        }

        return new self(
            array_values(array_map(static fn (int $place): string => $words[$place - 1], $middle)), $each, array_sum($middle) / count($middle),
        );
    }

    /** How many results there are. */
    public function n(): int
    {
        return array_sum(array_column($this->each, 'n'));
    }
}
