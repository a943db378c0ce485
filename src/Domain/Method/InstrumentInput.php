<?php

declare(strict_types=1);

namespace Lustrum\Domain\Method;

use Lustrum\Core\CoreException;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Record\RecordInput;
use Lustrum\Shared\Identifier;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Name;
use Lustrum\Shared\Number;
use Lustrum\Shared\Refusal\Invalid;
use Lustrum\Shared\UnitSymbol;
use Lustrum\Shared\Version;
use Symfony\Component\Validator\Constraints as Assert;

final readonly class InstrumentInput implements RecordInput
{
    /**
     * @param float|string|null $lag         its time constant: '20 ms', or a number of seconds
     * @param float|string|null $rate        how often it reads: '50 Hz', or a number a second
     * @param string            $checkedOn   ISO date of its last check
     * @param int|null          $checkMonths how long a check holds
     * @param string            $leftIn      unit that its display was left in
     */
    public function __construct(
        #[Identifier]
        public string $workspace,
        #[Name]
        public string $name,
        #[Assert\NotBlank(message: 'Which unit does it show?')]
        #[UnitSymbol]
        public string $unit,
        #[Assert\Positive(message: 'A step lies above nought.')]
        #[Number]
        public ?float $resolution = null,
        #[Number]
        public ?float $low = null,
        #[Number]
        #[Assert\GreaterThan(propertyPath: 'low', message: 'The range begins below its end.')]
        public ?float $high = null,
        public float|string|null $lag = null,
        public float|string|null $rate = null,
        #[Assert\Date(message: 'A day as 2026-11-26.')]
        public string $checkedOn = '',
        #[Assert\Range(notInRangeMessage: 'Between 1 and 240 months.', min: 1, max: 240)]
        public ?int $checkMonths = null,
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $checkedBy = '',
        #[Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.')]
        public string $power = '',
        #[UnitSymbol]
        public string $leftIn = '',
        #[Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.')]
        public string $note = '',
        #[Version]
        public ?int $version = null,
    ) {
    }

    /** @throws Invalid */
    public function seconds(): ?float
    {
        return self::in($this->lag, 's', 'lag', true);
    }

    /** @throws Invalid */
    public function hertz(): ?float
    {
        return self::in($this->rate, 'Hz', 'rate', false);
    }

    private static function in(float|string|null $typed, string $unit, string $path, bool $mayBeNought): ?float
    {
        if ($typed === null || (is_string($typed) && trim($typed) === '')) {
            return null;
        }
        try {
            $value = is_float($typed) ? $typed : Quantity::typedBeside($typed, $unit)->to($unit)->value;
        } catch (CoreException $e) {
            throw Invalid::at($path, $e->getMessage());
        }

        return $value > ($mayBeNought ? -1e-300 : 0.0) && $value <= Limit::NUMBER ? $value : throw Invalid::at(
            $path, $mayBeNought ? 'A lag is not below nought.' : 'It reads more often than never.',
        );
    }
}
