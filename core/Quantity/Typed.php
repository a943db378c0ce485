<?php

declare(strict_types=1);

namespace Lustrum\Core\Quantity;

use Lustrum\Core\CoreException;
use Lustrum\Core\InvalidInput;

/**
 * A value as people have it (`quantity.read`): `412 ± 3 N`, `about 60 N`, `3-4 m/s`, `< 8 min`, `unknown`, a number without
 * its unit.
 */
final readonly class Typed
{
    private const BOUNDS = ['<=' => false, '≤' => false, '<' => false, 'under' => false, 'at most' => false, '>=' => true, '≥' => true,
        '>' => true, 'over' => true, 'at least' => true];
    private const ABOUT = '/^(?:about\b|~|ca\b\.?)\s*/iu';

    /** How sure somebody is who says 'about': a tenth of the value. */
    private const ABOUT_SHARE = 0.1;

    /** Wants no unit, and which one it has then. */
    private const WITHOUT_UNIT = ['ratio' => '1', 'count' => 'count'];

    /**
     * @param float|null  $value      in the unit; null where it is unknown
     * @param Unit|null   $unit       null where nobody remembers it
     * @param float|null  $resolution step of the last digit
     * @param float|null  $u          standard uncertainty in the unit; null where nobody said
     * @param float|null  $low        the end that is known of a bound, or the lower one of a range
     * @param float|null  $high
     */
    private function __construct(
        public TypedKind $kind,
        public ?float $value = null,
        public ?Unit $unit = null,
        public ?float $resolution = null,
        public ?float $u = null,
        public ?float $low = null,
        public ?float $high = null,
    ) {
    }

    /**
     * @param string|null $dimension name of the dimension that is wanted
     * @param string      $beside    unit that stood beside the field; what was typed without one is in it
     *
     * @throws InvalidNumber|UnknownUnit|UnitMismatch|InvalidInput
     */
    public static function read(string $text, ?string $dimension = null, string $beside = ''): self
    {
        $wanted = $dimension === null ? null : Dimension::named($dimension) ?? throw InvalidInput::because(
            sprintf('“%s” is not a dimension that Lustrum knows.', $dimension), 'dimension',
        );
        $tidy = QuantityText::tidy($text);
        if (mb_strtolower($tidy) === 'unknown') {
            return new self(TypedKind::Unknown);
        }
        [$isLower, $rest] = self::bound($tidy);
        $bare = preg_replace(self::ABOUT, '', $rest) ?? $rest;
        $part = self::part($bare, $isLower === null, $text);
        if ($bare !== $rest && $part->u === null) {
            if ($isLower !== null) {
                throw InvalidNumber::unreadable($text);
            }
            $part = $part->sure(self::ABOUT_SHARE * abs((float) $part->value));
        }

        return $part->as($isLower)->measuring($wanted, $dimension, $beside);
    }

    /** The value in the SI; null where its unit is not known. */
    public function si(): ?float
    {
        return $this->unit === null || $this->value === null ? null : $this->unit->toSi($this->value);
    }

    /** @return array{?bool, string} whether it is a lower bound, null where it is none, and the rest of the text */
    private static function bound(string $text): array
    {
        foreach (self::BOUNDS as $sign => $isLower) {
            $isWord = preg_match('/^[a-z]/', $sign) === 1;
            if (preg_match('/^'.$sign.($isWord ? '\b' : '').'\s*(.*)$/iu', $text, $m) === 1) {
                return [$isLower, $m[1]];
            }
        }

        return [null, $text];
    }

    /** One value, one with ±, or a range. */
    private static function part(string $text, bool $mayBeRange, string $typed): self
    {
        $sides = preg_split('/\s*(?:±|\+\/-)\s*/u', $text) ?: [$text];
        if (count($sides) > 1) {
            return count($sides) === 2 ? self::withUncertainty($sides[0], $sides[1], $typed) : throw InvalidNumber::unreadable($typed);
        }
        try {
            return self::number($text);
        } catch (CoreException $e) {
            $range = self::range($text, $typed) ?? throw $e;

            return $mayBeRange ? $range : throw InvalidNumber::boundOfRange($typed);
        }
    }

    /** A number, with its unit or without. */
    private static function number(string $text): self
    {
        $bare = QuantityText::bare($text);
        if ($bare !== null) {
            return new self(TypedKind::UnitUnknown, $bare[0], null, $bare[1]);
        }
        $quantity = Quantity::typed($text);

        return new self(TypedKind::Equal, $quantity->value, $quantity->unit, $quantity->resolution);
    }

    private static function withUncertainty(string $value, string $uncertainty, string $typed): self
    {
        [$of, $by] = [self::number($value), self::number($uncertainty)];
        $share = $by->unit?->symbol === '%' && $of->unit !== null && $of->unit->symbol !== '%';
        $unit = $of->unit ?? $by->unit;
        $u = match (true) {
            $share => abs((float) $of->value) * (float) $by->value / 100,
            $by->unit === null || $unit === null => (float) $by->value,
            default => Quantity::of((float) $by->value, $by->unit->symbol)->differenceTo($unit->symbol),
        };
        if ($u < 0) {
            throw InvalidNumber::negativeUncertainty($typed);
        }

        return new self($unit === null ? TypedKind::UnitUnknown : TypedKind::Equal, $of->value, $unit, $of->resolution, $u);
    }

    /** The first place where it falls into two numbers; null where there is none. */
    private static function range(string $text, string $typed): ?self
    {
        preg_match_all('/\s+to\s+|\s*-\s*/iu', $text, $places, \PREG_OFFSET_CAPTURE);
        $at = $places[0];
        // A word is clearer than a dash, which may also be a sign.
        usort($at, static fn (array $a, array $b): int => (trim($a[0]) === '-') <=> (trim($b[0]) === '-') ?: $a[1] <=> $b[1]);
        foreach ($at as [$between, $from]) {
            try {
                $ends = [self::number(substr($text, 0, $from)), self::number(substr($text, $from + strlen($between)))];
            } catch (CoreException) {
                continue;
            }

            return self::ends($ends[0], $ends[1], $typed);
        }

        return null;
    }

    private static function ends(self $from, self $to, string $typed): self
    {
        $unit = $to->unit ?? $from->unit;
        $in = static fn (self $end): float => $end->unit === null || $unit === null
            ? (float) $end->value : Quantity::of((float) $end->value, $end->unit->symbol)->to($unit->symbol)->value;
        [$low, $high] = [$in($from), $in($to)];
        if ($low > $high) {
            throw InvalidNumber::backwards($typed);
        }

        return new self(
            $unit === null ? TypedKind::UnitUnknown : TypedKind::Equal, ($low + $high) / 2, $unit, $to->resolution,
            ($high - $low) / sqrt(12), $low, $high,
        );
    }

    private function sure(float $u): self
    {
        return new self($this->kind, $this->value, $this->unit, $this->resolution, $u, $this->low, $this->high);
    }

    private function as(?bool $isLower): self
    {
        if ($isLower === null) {
            return $this;
        }
        $kind = $isLower ? TypedKind::AtLeast : TypedKind::AtMost;

        return new self(
            $this->kind === TypedKind::Equal ? $kind : $this->kind, $this->value, $this->unit, $this->resolution, $this->u,
            $isLower ? $this->value : null, $isLower ? null : $this->value,
        );
    }

    private function measuring(?Dimension $wanted, ?string $dimension, string $beside): self
    {
        if ($this->unit !== null) {
            if ($wanted !== null) {
                $quantity = Quantity::of((float) $this->value, $this->unit->symbol);
                $quantity->mustMeasure($wanted, '', static fn (): string => (string) $dimension);
            }

            return $this;
        }
        if ($dimension === null && $beside === '') {
            throw UnknownUnit::missing();
        }
        $symbol = $beside !== '' ? $beside : self::WITHOUT_UNIT[$dimension] ?? null;
        if ($symbol === null) {
            return $this;
        }
        $kind = match (true) {
            $this->low !== null && $this->high === null => TypedKind::AtLeast,
            $this->high !== null && $this->low === null => TypedKind::AtMost,
            default => TypedKind::Equal,
        };

        return new self($kind, $this->value, Units::parse($symbol), $this->resolution, $this->u, $this->low, $this->high);
    }
}
