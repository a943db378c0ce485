<?php

declare(strict_types=1);

namespace Lustrum\Domain\Decision;

use Lustrum\Core\Change\ChangeClass;
use Lustrum\Core\Evidence\Texture;
use Lustrum\Core\Run\Row;

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
        public array $lines = [],
        public array $evidence = [],
        public string $cost = '0',
        public float $hours = 0.0,
        public string $currency = '',
        public array $entangled = [],
        public array $over = [],
        public array $forecasts = [],
    ) {
    }

    /** @param array<array-key, mixed> $row */
    public static function fromRow(array $row): self
    {
        return new self(
            array_map(self::line(...), Row::rows($row['lines'] ?? [])),
            array_map(static fn (array $e): KnownEvidence => new KnownEvidence(
                Row::text($e['statement'] ?? ''), Texture::tryFrom(
                    Row::text($e['texture'] ?? ''),
                ) ?? Texture::Outline, Row::text($e['sentence'] ?? ''),
            ), Row::rows($row['evidence'] ?? [])),
            Row::text($row['cost'] ?? '0'), Row::number($row['hours'] ?? 0), Row::text($row['currency'] ?? ''),
            Row::texts($row['entangled'] ?? []), Row::texts($row['over'] ?? []), Row::texts($row['forecasts'] ?? []),
        );
    }

    /** @param array<array-key, mixed> $row */
    private static function line(array $row): DecisionLine
    {
        return new DecisionLine(
            Row::text($row['what'] ?? ''), Row::text($row['why'] ?? ''), ChangeClass::tryFrom(
                Row::text($row['class'] ?? ''),
            ) ?? ChangeClass::Shape,
            Choice::tryFrom(
                Row::text($row['choice'] ?? ''),
            ) ?? Choice::Open, Row::text($row['reason'] ?? ''), Row::number($row['cost'] ?? 0),
            Row::number($row['hours'] ?? 0), Row::text($row['expected'] ?? ''), Row::text($row['askedBy'] ?? ''),
        );
    }
}
