<?php

declare(strict_types=1);

namespace Lustrum\Shared;

use Symfony\Component\Validator\Constraint;
use Symfony\Component\Validator\Constraints as Assert;
use Symfony\Component\Validator\Constraints\Compound;

/** A name that must be there and fit on one line. */
#[\Attribute(\Attribute::TARGET_PROPERTY | \Attribute::TARGET_PARAMETER)]
final class Name extends Compound
{
    /**
     * @param array<string, mixed> $options
     *
     * @return list<Constraint>
     */
    protected function getConstraints(array $options): array
    {
        return [
            new Assert\NotBlank(message: 'This is still empty.', normalizer: 'trim'),
            new Assert\Length(max: Limit::NAME, maxMessage: 'At most {{ limit }} characters.'),
        ];
    }
}
