<?php

declare(strict_types=1);

namespace Lustrum\Core\Failure;

use Lustrum\Core\CoreException;
use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Quantity\Quantity;

/** How long or how often something was used, as somebody wrote it: '12 h', '30 beds', '3 times'. */
final readonly class Exposure
{
    private const COUNT = '/^(\d+)\s*(?:[x×]|(\p{L}[\p{L}\s-]*))?$/iu';

    private const TIMES = 'times';

    /** @param string $unit in which the amount is; of a count what was counted */
    private function __construct(
        public float $amount,
        public string $unit,
        public bool $isCount,
    ) {
    }

    /** Null where it says neither how long nor how often: 'a season'. */
    public static function read(string $text): ?self
    {
        try {
            $quantity = Quantity::typed($text);
            if ($quantity->value > 0 && !$quantity->unit->dimension->isRatio() && $quantity->unit->dimension->name() !== 'count') {
                return new self($quantity->value, $quantity->unit->symbol, false);
            }
        } catch (CoreException) {
            // No unit that is known: then it may be a count of something.
        }
        if (preg_match(self::COUNT, trim($text), $found) !== 1 || (int) $found[1] < 1) {
            return null;
        }
        $what = mb_strtolower(trim($found[2] ?? ''));

        return new self((float) $found[1], $what === '' || $what === 'time' ? self::TIMES : $what, true);
    }

    /** Equal for what can be added up. */
    public function kind(): string
    {
        return $this->isCount ? 'count '.$this->unit : 'of '.Quantity::of($this->amount, $this->unit)->unit->dimension->name();
    }

    /** Both together, in the unit of this one. */
    public function and(self $other): self
    {
        $more = $this->isCount ? $other->amount : Quantity::of($other->amount, $other->unit)->to($this->unit)->value;

        return new self($this->amount + $more, $this->unit, $this->isCount);
    }

    /**
     * What came through so much without it leaves open, one-sided: of a count the greatest share of times (success run), of anything
     * else the least amount between two on average (Poisson).
     */
    public function leavesOpen(float $confidence): float
    {
        return $this->isCount
            ? Closed::mayStillFail((int) $this->amount, $confidence) : $this->amount / -log(1 - $confidence);
    }

    public function text(): string
    {
        return Digits::short($this->amount).' '.$this->unit;
    }
}
