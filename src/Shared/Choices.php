<?php

declare(strict_types=1);

namespace Lustrum\Shared;

use Symfony\Component\Validator\Constraint;
use Symfony\Component\Validator\Constraints as Assert;
use Symfony\Component\Validator\Constraints\Compound;

/** A list of short names, none too long and not too many. */
#[\Attribute(\Attribute::TARGET_PROPERTY | \Attribute::TARGET_PARAMETER)]
final class Choices extends Compound
{
    /**
     * @param array<string, mixed> $options
     *
     * @return list<Constraint>
     */
    protected function getConstraints(array $options): array
    {
        return [
            new Assert\Count(max: Limit::LIST, maxMessage: 'At most {{ limit }} entries.'),
            new Assert\All([
                new Assert\Type('string', message: 'A text is wanted here.'),
                new Assert\Length(max: Limit::LINE, maxMessage: 'At most {{ limit }} characters.'),
            ]),
        ];
    }
}
