<?php

declare(strict_types=1);

namespace Lustrum\Domain\Trial;

use Lustrum\Core\Curve\Mark;
use Lustrum\Core\Curve\MarkKind;
use Lustrum\Core\Run\Row;
use Lustrum\Shared\Number;

/** Something that is read off a course, as it is typed. */
final readonly class CourseMark
{
    /**
     * @param float|null $value that is crossed, in the unit of the course
     * @param float|null $from  s
     * @param float|null $to    s
     * @param float|null $start  from which it is to begin, in the unit of the course; null: where it did
     * @param float|null $around surroundings, in the unit of the course; null: those that it went towards
     */
    public function __construct(
        public MarkKind $kind = MarkKind::Peak,
        #[Number]
        public ?float $value = null,
        #[Number]
        public ?float $from = null,
        #[Number]
        public ?float $to = null,
        #[Number]
        public ?float $start = null,
        #[Number]
        public ?float $around = null,
    ) {
    }

    public function mark(): Mark
    {
        return new Mark($this->kind, $this->value, $this->from, $this->to, $this->start, $this->around);
    }

    /** @param array<array-key, mixed> $row */
    public static function fromRow(array $row): self
    {
        return new self(
            MarkKind::tryFrom(Row::text($row['kind'] ?? '')) ?? MarkKind::Peak, Row::numberOrNull($row['value'] ?? null),
            Row::numberOrNull($row['from'] ?? null), Row::numberOrNull($row['to'] ?? null),
            Row::numberOrNull($row['start'] ?? null), Row::numberOrNull($row['around'] ?? null),
        );
    }
}
