<?php

declare(strict_types=1);

namespace Lustrum\Shared;

use Symfony\Component\Validator\Constraints\Length;
use Symfony\Component\Validator\Constraints\LengthValidator;

/** A longer text that may be empty. */
#[\Attribute(\Attribute::TARGET_PROPERTY | \Attribute::TARGET_PARAMETER)]
final class Note extends Length
{
    public function __construct()
    {
        parent::__construct(max: Limit::NOTE, maxMessage: 'At most {{ limit }} characters.');
    }

    public function validatedBy(): string
    {
        return LengthValidator::class;
    }
}
