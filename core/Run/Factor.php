<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

use Lustrum\Core\CoreException;
use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Quantity\Quantity;

/** What a method varies on purpose, or pairs its runs by. */
final readonly class Factor
{
    /** Levels that agree to so many digits are one. */
    private const DIGITS = 9;
    private const UNKNOWN = ['', 'unknown', '?'];

    /** Blocks of these names are known of every run, and nobody types them. */
    public const ARTICLE = 'article';
    public const OPERATOR = 'operator';
    public const DAY = 'day';
    public const KNOWN = [self::ARTICLE, self::OPERATOR, self::DAY];

    /**
     * @param string       $unit   of a factor in numbers
     * @param float|null   $step   levels within half of it are one; null: only equal ones are
     * @param list<string> $levels to choose from; ordered words in their order, the first one lowest
     * @param bool         $climbs a harder level waits until the one below has held on the same configuration
     */
    public function __construct(
        public string $name,
        public FactorRole $role = FactorRole::Factor,
        public FactorKind $kind = FactorKind::Words,
        public string $unit = '',
        public ?float $step = null,
        public array $levels = [],
        public Harder $harder = Harder::None,
        public bool $climbs = false,
    ) {
    }

    public function isBlock(): bool
    {
        return $this->role === FactorRole::Block;
    }

    /** Is it asked of whoever starts a run? */
    public function isAsked(): bool
    {
        return !$this->isBlock() || !in_array($this->name, self::KNOWN, true);
    }

    /** Null where it is not known, or is no level of this factor. */
    public function level(string $typed): ?FactorLevel
    {
        $word = mb_strtolower(trim($typed));
        if (in_array($word, self::UNKNOWN, true)) {
            return null;
        }

        return match ($this->kind) {
            FactorKind::Number => $this->number($typed),
            FactorKind::Ordered => $this->ordered($word),
            FactorKind::Words => new FactorLevel($word, trim($typed)),
        };
    }

    /**
     * @return FactorLevel
     *
     * @throws CoreException when it is no quantity in this unit
     */
    public function read(string $typed): FactorLevel
    {
        $quantity = Quantity::typedBeside($typed, $this->unit === '' ? '1' : $this->unit);
        $value = $quantity->to($this->unit === '' ? '1' : $this->unit)->value;
        $level = $this->step === null ? $value : round($value / $this->step) * $this->step;
        $text = Digits::short(round($level, self::DIGITS));

        return new FactorLevel(
            sprintf('%.'.self::DIGITS.'g', $level === 0.0 ? 0.0 : $level),
            in_array($this->unit, ['', '1'], true) ? $text : $text.' '.$this->unit, $value,
        );
    }

    /**
     * What runs that name a rung, and nothing more, were varied by.
     *
     * @param non-empty-list<string> $typed
     */
    public static function inferred(string $name, array $typed): self
    {
        $unit = null;
        try {
            foreach ($typed as $text) {
                $quantity = Quantity::typed($text);
                $unit ??= $quantity->unit->symbol;
                $quantity->to($unit);
            }
        } catch (CoreException) {
            return new self($name, levels: array_values(array_unique($typed)));
        }

        return new self($name, kind: FactorKind::Number, unit: (string) $unit);
    }

    /** @param array<array-key, mixed> $row by the names of the fields */
    public static function fromRow(array $row): self
    {
        return new self(
            Row::text($row['name'] ?? ''), FactorRole::tryFrom(Row::text($row['role'] ?? '')) ?? FactorRole::Factor,
            FactorKind::tryFrom(Row::text($row['kind'] ?? '')) ?? FactorKind::Words, Row::text($row['unit'] ?? ''),
            Row::numberOrNull($row['step'] ?? null), Row::texts($row['levels'] ?? []),
            Harder::tryFrom(Row::text($row['harder'] ?? '')) ?? Harder::None,
            ($row['climbs'] ?? false) === true,
        );
    }

    private function number(string $typed): ?FactorLevel
    {
        try {
            return $this->read($typed);
        } catch (CoreException) {
            return null;
        }
    }

    private function ordered(string $word): ?FactorLevel
    {
        foreach ($this->levels as $rank => $level) {
            if (mb_strtolower(trim($level)) === $word) {
                return new FactorLevel($word, trim($level), null, $rank);
            }
        }

        return null;
    }
}
