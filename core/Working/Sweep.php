<?php

declare(strict_types=1);

namespace Lustrum\Core\Working;

use Lustrum\Core\CoreException;

/** An answer over one of its inputs, for a small figure. */
final readonly class Sweep
{
    private const POINTS = 41;

    /** From a part of where it stands to a multiple, where the field does not say from where to where. */
    private const FROM = 0.25;
    private const TO = 2.5;

    /**
     * @param list<array{float, float}> $points input in its own unit, answer in the one that is asked for
     * @param float                     $stands where the input stands
     */
    private function __construct(
        public array $points,
        public float $stands,
    ) {
    }

    /** Null where nothing can be drawn. */
    public static function of(Work $work, Given $given, Field $field, string $unitOfInput, Output $output, string $unit): ?self
    {
        $stands = $given->maybe($field->name);
        if ($stands === null || $field->isWhole) {
            return null;
        }
        $si = static fn (float $v): float => (new Entry($v, $field->unit))->si($field->unit)[0];
        $low = $field->low !== null && $field->high !== null ? $si($field->low) : self::FROM * $stands;
        $high = $field->low !== null && $field->high !== null ? $si($field->high) : self::TO * $stands;
        if ($stands === 0.0) {
            return null;
        }
        $points = [];
        for ($i = 0; $i < self::POINTS; ++$i) {
            $x = $low + ($high - $low) * $i / (self::POINTS - 1);
            try {
                $y = $work->si($given->with($field->name, $x))[$output->name] ?? null;
            } catch (CoreException) {
                continue;
            }
            if (is_float($y)) {
                $points[] = [Entry::said($x, $field->unit, $unitOfInput), Entry::said($y, $output->unit, $unit)];
            }
        }

        return count($points) < 3 ? null : new self($points, Entry::said($stands, $field->unit, $unitOfInput));
    }
}
