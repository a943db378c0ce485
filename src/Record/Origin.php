<?php

declare(strict_types=1);

namespace Lustrum\Record;

use Lustrum\Shared\Instant;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Refusal\Invalid;

/** Who made a record, when, and in which state it is: what an export keeps beside its fields. */
final readonly class Origin
{
    public function __construct(
        public string $createdAt,
        public string $createdBy,
        public int $version,
        public ?string $withdrawnBecause,
    ) {
    }

    /**
     * From a file; nothing in it is taken on trust.
     *
     * @throws Invalid
     */
    public static function read(mixed $row): self
    {
        if ($row === null) {
            return new self(Instant::write(new \DateTimeImmutable()), '', 1, null);
        }
        if (!is_array($row)) {
            throw Invalid::at('origin', 'Who made this entry, and when, cannot be read.');
        }
        [$at, $by, $version, $because] = [
            $row['createdAt'] ?? null, $row['createdBy'] ?? '', $row['version'] ?? 1, $row['withdrawnBecause'] ?? null,
        ];
        if (!is_string($at) || !is_string($by) || !is_int($version) || $version < 1 || $version > Limit::WHOLE || !(is_string($because) || $because === null)) {
            throw Invalid::at('origin', 'Who made this entry, and when, cannot be read.');
        }

        return new self(
            Instant::write(Instant::read($at, 'origin.createdAt')), mb_substr($by, 0, Limit::NAME), $version,
            $because === null ? null : mb_substr($because, 0, Limit::NOTE),
        );
    }
}
