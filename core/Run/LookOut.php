<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

/** When to look at something during a run: every few minutes, once after a while, or at a milestone in words. */
final readonly class LookOut
{
    private const MOST = 500;

    public function __construct(
        public string $what,
        public ?float $every = null,
        public ?float $after = null,
        public string $at = '',
    ) {
    }

    /** @param array<array-key, mixed> $row */
    public static function fromRow(array $row): self
    {
        return new self(
            Row::text($row['what'] ?? ''), Row::numberOrNull($row['every'] ?? null), Row::numberOrNull($row['after'] ?? null),
            Row::text($row['at'] ?? ''),
        );
    }

    /**
     * When looks are due in a run of so many minutes.
     *
     * @return list<float> minutes after its beginning
     */
    public function due(float $minutes): array
    {
        $out = $this->after === null || $this->after > $minutes ? [] : [$this->after];
        for ($k = 1; $this->every !== null && $this->every > 0.0 && $k * $this->every <= $minutes && $k <= self::MOST; ++$k) {
            $out[] = $k * $this->every;
        }
        sort($out);

        return array_values(array_unique($out));
    }
}
