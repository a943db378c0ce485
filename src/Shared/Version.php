<?php

declare(strict_types=1);

namespace Lustrum\Shared;

use Symfony\Component\Validator\Constraint;
use Symfony\Component\Validator\Constraints as Assert;
use Symfony\Component\Validator\Constraints\Compound;

/** The version of a record that was edited. */
#[\Attribute(\Attribute::TARGET_PROPERTY | \Attribute::TARGET_PARAMETER)]
final class Version extends Compound
{
    /**
     * @param array<string, mixed> $options
     *
     * @return list<Constraint>
     */
    protected function getConstraints(array $options): array
    {
        return [new Assert\Range(notInRangeMessage: 'This is not a version.', min: 1, max: Limit::WHOLE)];
    }
}
