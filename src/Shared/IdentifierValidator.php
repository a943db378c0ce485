<?php

declare(strict_types=1);

namespace Lustrum\Shared;

use Symfony\Component\Validator\Constraint;
use Symfony\Component\Validator\ConstraintValidator;

/** As RFC 9562 writes them: groups of 8, 4, 4, 4 and 12 digits, of a version that there is. */
final class IdentifierValidator extends ConstraintValidator
{
    private const FORM = '/^[0-9a-f]{8}-[0-9a-f]{4}-[1-8][0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/Di';

    public static function fits(string $value): bool
    {
        return preg_match(self::FORM, $value) === 1;
    }

    public function validate(mixed $value, Constraint $constraint): void
    {
        if ($value !== null && (!is_string($value) || !self::fits($value))) {
            $this->context->buildViolation('This is not an identifier.')->addViolation();
        }
    }
}
