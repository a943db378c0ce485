<?php

declare(strict_types=1);

namespace Lustrum\Shared;

use Lustrum\Core\CoreException;
use Lustrum\Core\Quantity\Units;
use Symfony\Component\Validator\Constraint;
use Symfony\Component\Validator\Constraints as Assert;
use Symfony\Component\Validator\Constraints\Compound;
use Symfony\Component\Validator\Context\ExecutionContextInterface;

/** A unit that Lustrum knows; empty where a unit is optional. */
#[\Attribute(\Attribute::TARGET_PROPERTY | \Attribute::TARGET_PARAMETER)]
final class UnitSymbol extends Compound
{
    /**
     * @param array<string, mixed> $options
     *
     * @return list<Constraint>
     */
    protected function getConstraints(array $options): array
    {
        return [
            new Assert\Length(max: 40, maxMessage: 'At most {{ limit }} characters.'),
            new Assert\Callback([self::class, 'check']),
        ];
    }

    public static function check(mixed $symbol, ExecutionContextInterface $context): void
    {
        if (!is_string($symbol) || trim($symbol) === '') {
            return;
        }
        try {
            Units::parse($symbol);
        } catch (CoreException $e) {
            $context->addViolation(strtr($e->getMessage(), ['{' => '(', '}' => ')']));
        }
    }
}
