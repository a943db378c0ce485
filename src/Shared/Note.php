<?php

declare(strict_types=1);

namespace Lustrum\Shared;

use Symfony\Component\Validator\Constraint;
use Symfony\Component\Validator\Constraints as Assert;
use Symfony\Component\Validator\Constraints\Compound;

/** A longer text that may be empty. */
#[\Attribute(\Attribute::TARGET_PROPERTY | \Attribute::TARGET_PARAMETER)]
final class Note extends Compound
{
    /**
     * @param array<string, mixed> $options
     *
     * @return list<Constraint>
     */
    protected function getConstraints(array $options): array
    {
        return [new Assert\Length(max: Limit::NOTE, maxMessage: 'At most {{ limit }} characters.')];
    }
}
