<?php

declare(strict_types=1);

namespace Lustrum\Shared;

use Symfony\Component\Validator\Constraints\Range;
use Symfony\Component\Validator\Constraints\RangeValidator;

/** A number that can be a measurement: finite, and of a size that the sums can bear. */
#[\Attribute(\Attribute::TARGET_PROPERTY | \Attribute::TARGET_PARAMETER)]
final class Number extends Range
{
    public function __construct()
    {
        parent::__construct(
            notInRangeMessage: 'This number is larger than can be kept.', min: -Limit::NUMBER, max: Limit::NUMBER,
        );
    }

    public function validatedBy(): string
    {
        return RangeValidator::class;
    }
}
