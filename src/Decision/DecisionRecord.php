<?php

declare(strict_types=1);

namespace Lustrum\Decision;

use Lustrum\Record\Stored;

/** Everything that a decision rested on, as it was then. */
final readonly class DecisionRecord
{
    /**
     * @param list<DecisionLine>  $lines
     * @param list<KnownEvidence> $evidence
     * @param list<string>        $entangled
     * @param list<string>        $over
     * @param list<string>        $forecasts
     */
    public function __construct(
        public array $lines,
        public array $evidence,
        public string $cost,
        public float $hours,
        public string $currency,
        public array $entangled,
        public array $over,
        public array $forecasts,
    ) {
    }

    /** @param array<string, mixed> $row */
    public static function fromRow(array $row): self
    {
        $rows = static function (string $key) use ($row): array {
            /** @var list<array<string, mixed>> $list */
            $list = is_array($row[$key] ?? null) ? array_values($row[$key]) : [];

            return $list;
        };

        return Stored::one(self::class, ['lines' => Stored::list(DecisionLine::class, $rows('lines')), 'evidence' => Stored::list(KnownEvidence::class, $rows('evidence'))] + $row + ['cost' => '0', 'hours' => 0.0, 'currency' => '', 'entangled' => [], 'over' => [], 'forecasts' => []]);
    }
}
