<?php

declare(strict_types=1);

namespace Lustrum\Shared;

use Symfony\Component\Validator\Constraint;
use Symfony\Component\Validator\Constraints as Assert;
use Symfony\Component\Validator\Constraints\Compound;

/** An identifier that must be there and be one: an empty text is none. */
#[\Attribute(\Attribute::TARGET_PROPERTY | \Attribute::TARGET_PARAMETER)]
final class Identifier extends Compound
{
    /**
     * @param array<string, mixed> $options
     *
     * @return list<Constraint>
     */
    protected function getConstraints(array $options): array
    {
        return [
            new Assert\Length(
                min: 36, max: 36, exactMessage: 'This is not an identifier.', minMessage: 'This is not an identifier.',
                maxMessage: 'This is not an identifier.',
            ),
            new Assert\Uuid(message: 'This is not an identifier.'),
        ];
    }
}
