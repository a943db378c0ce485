<?php

declare(strict_types=1);

namespace Lustrum\Core\Curve;

use Lustrum\Core\InvalidInput;

/** Does adding more of the same still pay (`curve.returns`)? */
final readonly class Returns
{
    /**
     * @param list<array{from: float, to: float, gain: float, perAmount: float, perCost: float|null}> $steps
     * @param int|null                                                                                $stops first step whose gain is under the noise
     */
    private function __construct(
        public array $steps,
        public ?int $stops,
    ) {
    }

    /**
     * @param list<float>      $amount rising
     * @param list<float>      $result
     * @param list<float>|null $cost   of each amount
     * @param float|null       $noise  least gain that can be told from chance
     *
     * @throws InvalidInput
     */
    public static function of(array $amount, array $result, ?array $cost = null, ?float $noise = null): self
    {
        $samples = Samples::of($amount, $result);
        if (count($samples->t) < 2) {
            throw InvalidInput::because('At least two amounts are needed.', 'amount');
        }
        if ($cost !== null && count($cost) !== count($amount)) {
            throw InvalidInput::because('Each amount needs its cost.', 'cost');
        }
        $steps = [];
        $stops = null;
        for ($i = 1, $n = count($amount); $i < $n; ++$i) {
            $more = $amount[$i] - $amount[$i - 1];
            if ($more <= 0) {
                throw InvalidInput::because('Amounts must rise.', 'amount/'.$i);
            }
            $gain = $result[$i] - $result[$i - 1];
            $dearer = $cost === null ? null : $cost[$i] - $cost[$i - 1];
            $steps[] = [
                'from' => $amount[$i - 1], 'to' => $amount[$i], 'gain' => $gain, 'perAmount' => $gain / $more,
                'perCost' => $dearer === null || $dearer === 0.0 ? null : $gain / $dearer,
            ];
            if ($stops === null && $noise !== null && $gain < $noise) {
                $stops = $i - 1;
            }
        }

        return new self($steps, $stops);
    }
}
