<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

use Lustrum\Core\CoreException;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Setting\SettingScale;

/** A setting that is read off the article before each run, with its intended value. */
final readonly class SettingRule
{
    /** Against the rounding of a conversion of units. */
    private const SLACK = 1e-9;

    /**
     * @param string       $lock    how it is kept from moving
     * @param float|null   $low     least that it can be set to, in $unit
     * @param float|null   $high    greatest
     * @param float|null   $step    between settings that there are
     * @param SettingScale $scale   on which the middle of two settings lies
     * @param string       $more    what more of it does: 'closes the gap'
     * @param string       $way     which way more is: 'clockwise, seen from the handle'
     * @param string       $readOff where it is read off
     * @param string       $tool    that it takes
     */
    public function __construct(
        public string $name,
        public string $unit = '',
        public ?float $intended = null,
        public ?float $tolerance = null,
        public string $lock = '',
        public ?float $low = null,
        public ?float $high = null,
        public ?float $step = null,
        public SettingScale $scale = SettingScale::Linear,
        public string $more = '',
        public string $way = '',
        public string $readOff = '',
        public string $tool = '',
    ) {
    }

    /** The same, meant to be at no value in particular. */
    public function wherever(): self
    {
        return new self(
            $this->name, $this->unit, null, $this->tolerance, $this->lock, $this->low, $this->high, $this->step, $this->scale, $this->more,
            $this->way, $this->readOff, $this->tool,
        );
    }

    /**
     * The same, meant to be where it was set on purpose: on the article between two runs, or by a change of its build.
     *
     * @param string $typed what it was set to; where it is no quantity of this kind, it is meant as before
     */
    public function setTo(string $typed): self
    {
        $value = $this->value($typed);

        return $value === null ? $this : new self(
            $this->name, $this->unit, $value, $this->tolerance, $this->lock, $this->low, $this->high, $this->step, $this->scale, $this->more,
            $this->way, $this->readOff, $this->tool,
        );
    }

    /** What somebody typed of it, in its unit; null where that is no such quantity. */
    public function value(string $typed): ?float
    {
        try {
            return Quantity::typedBeside($typed, $this->unit === '' ? '1' : $this->unit)->to($this->unit === '' ? '1' : $this->unit)->value;
        } catch (CoreException) {
            return null;
        }
    }

    /** Is what was found what was intended? Where nothing was intended, or it is no such quantity, whatever was found is. */
    public function isMeant(string $found): bool
    {
        $value = $this->intended === null ? null : $this->value($found);

        return $value === null || abs($value - $this->intended) <= ($this->tolerance ?? 0.0) + self::SLACK;
    }

    /** @param array<array-key, mixed> $row */
    public static function fromRow(array $row): self
    {
        return new self(
            Row::text($row['name'] ?? ''), Row::text($row['unit'] ?? ''),
            Row::numberOrNull($row['intended'] ?? null), Row::numberOrNull($row['tolerance'] ?? null),
            Row::text($row['lock'] ?? ''), Row::numberOrNull($row['low'] ?? null), Row::numberOrNull($row['high'] ?? null),
            Row::numberOrNull($row['step'] ?? null), SettingScale::tryFrom(Row::text($row['scale'] ?? '')) ?? SettingScale::Linear,
            Row::text($row['more'] ?? ''), Row::text($row['way'] ?? ''), Row::text($row['readOff'] ?? ''), Row::text($row['tool'] ?? ''),
        );
    }
}
