<?php

declare(strict_types=1);

namespace Lustrum\Account;

use Symfony\Component\Validator\Constraint;
use Symfony\Component\Validator\Constraints as Assert;
use Symfony\Component\Validator\Constraints\Compound;
use Symfony\Component\Validator\Context\ExecutionContextInterface;

/**
 * A password that somebody chooses: long enough, and not one that is tried first.
 *
 * common-passwords.txt holds, sorted, the passwords of ten letters and more (twelve are asked for now) among the 50,000 most used ones (the list
 * of @zxcvbn-ts/language-common, MIT licence), and the most used short ones doubled or with a usual ending.
 */
#[\Attribute(\Attribute::TARGET_PROPERTY | \Attribute::TARGET_PARAMETER)]
final class NewPassword extends Compound
{
    public const LEAST = 12;

    /**
     * @param array<string, mixed> $options
     *
     * @return list<Constraint>
     */
    protected function getConstraints(array $options): array
    {
        return [
            new Assert\Length(
                min: self::LEAST, max: 200, minMessage: 'At least {{ limit }} characters.', maxMessage: 'At most {{ limit }} characters.',
            ),
            new Assert\Callback([self::class, 'check']),
        ];
    }

    public static function check(mixed $password, ExecutionContextInterface $context): void
    {
        if (is_string($password) && self::isCommon($password)) {
            $context->addViolation('This password is among those that are tried first. Take a longer sentence of your own.');
        }
    }

    public static function isCommon(string $password): bool
    {
        $wanted = mb_strtolower(trim($password));
        if (count(array_unique(mb_str_split($wanted))) < 3) {
            return true;
        }
        $list = explode("\n", (string) file_get_contents(__DIR__.'/common-passwords.txt'));
        $low = 0;
        $high = count($list) - 1;
        while ($low <= $high) {
            $middle = intdiv($low + $high, 2);
            $order = strcmp($list[$middle], $wanted);
            if ($order === 0) {
                return true;
            }
            $order < 0 ? $low = $middle + 1 : $high = $middle - 1;
        }

        return false;
    }
}
