<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

/** One way in which an article differs from its build. */
final readonly class Deviation
{
    private const OLD = ['old', 'as before', 'kept', 'unchanged'];

    /** @param string $value as it is on this article; of a part that was not changed with the others: 'old' */
    public function __construct(
        public DeviationKind $kind,
        public string $name,
        public string $value = '',
    ) {
    }

    /** As requirements and changes call it: 'parameter:gap', 'part:belt', 'firmware'. */
    public function what(): string
    {
        return match ($this->kind) {
            DeviationKind::Firmware => 'firmware',
            DeviationKind::Parameter => 'parameter:'.$this->name,
            default => 'part:'.$this->name,
        };
    }

    /** 'part:Belt' in one spelling. */
    public static function inOneSpelling(string $what): string
    {
        return implode(':', array_map(self::tidy(...), explode(':', $what, 2)));
    }

    public static function firmware(string $version): self
    {
        return new self(DeviationKind::Firmware, 'firmware', $version);
    }

    public function equals(self $other): bool
    {
        return $this->kind === $other->kind && $this->name === $other->name && $this->value === $other->value;
    }

    /** @param list<self> $some */
    public function isAmong(array $some): bool
    {
        return array_filter($some, $this->equals(...)) !== [];
    }

    /** May a build take it over? A lot, or how well it was made, is of the article; a part that stayed as it was is no change. */
    public function isOfDesign(): bool
    {
        return in_array($this->kind, [DeviationKind::Parameter, DeviationKind::Part, DeviationKind::Firmware], true)
            && trim($this->value) !== '' && !$this->keepsOld();
    }

    /** Has this part stayed as it was? */
    public function keepsOld(): bool
    {
        return in_array(self::tidy($this->value), self::OLD, true);
    }

    /** Is it of this value, in whatever spelling? */
    public function isOf(string $value): bool
    {
        return self::tidy($this->value) !== '' && self::tidy($this->value) === self::tidy($value);
    }

    public static function tidy(string $text): string
    {
        return mb_strtolower(trim((string) preg_replace('/\s+/u', ' ', $text)));
    }

    /** @param array<array-key, mixed> $row by the names of the fields */
    public static function fromRow(array $row): self
    {
        return new self(
            DeviationKind::tryFrom(Row::text($row['kind'] ?? '')) ?? DeviationKind::Workmanship, Row::text($row['name'] ?? ''),
            Row::text($row['value'] ?? ''),
        );
    }
}
