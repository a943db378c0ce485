<?php

declare(strict_types=1);

namespace Lustrum\Shared;

use Symfony\Component\Validator\Constraints\Range;
use Symfony\Component\Validator\Constraints\RangeValidator;

/** The version of a record that was edited. */
#[\Attribute(\Attribute::TARGET_PROPERTY | \Attribute::TARGET_PARAMETER)]
final class Version extends Range
{
    public function __construct()
    {
        parent::__construct(notInRangeMessage: 'This is not a version.', min: 1, max: Limit::WHOLE);
    }

    public function validatedBy(): string
    {
        return RangeValidator::class;
    }
}
