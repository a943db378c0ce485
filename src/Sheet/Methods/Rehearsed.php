<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Methods;

use Lustrum\Core\Check\Rehearsal;
use Lustrum\Core\CoreException;
use Lustrum\Core\Run\Amount;
use Lustrum\Core\Wording\CheckWords;
use Lustrum\Domain\Method\Method;

/** How much of its use a method carries. */
final readonly class Rehearsed
{
    /**
     * @param string $method   identifier
     * @param string $name     of the method
     * @param string $sentence how much of the use it carries
     */
    public function __construct(
        public string $method,
        public string $name,
        public string $sentence,
    ) {
    }

    /** Worked out in words; empty where nobody said which use, or what that bears. */
    public static function by(Method $method): string
    {
        try {
            $rehearsal = self::worked($method->useCase()?->loads() ?? [], $method->carries());
        } catch (CoreException $e) {
            return $e->getMessage();
        }

        return $rehearsal === null ? '' : CheckWords::rehearsal($rehearsal);
    }

    /** The same as it is said of a result: nothing where the whole of the use is carried, or where it cannot be told. */
    public static function less(Method $method): string
    {
        $use = $method->useCase();
        try {
            $rehearsal = self::worked($use?->loads() ?? [], $method->carries());
        } catch (CoreException) {
            return '';
        }

        return $use === null || $rehearsal === null || $rehearsal->isFull() ? '' : CheckWords::rehearsed(
            $use->view()->name, CheckWords::rehearsal($rehearsal),
        );
    }

    /**
     * @param list<Amount> $loads   that the use bears
     * @param list<Amount> $carries
     *
     * @return Rehearsal|null null where nobody said what the use bears
     *
     * @throws CoreException where what is carried is not of the kind that the use bears
     */
    public static function worked(array $loads, array $carries): ?Rehearsal
    {
        return $loads === [] ? null : Rehearsal::of(Amount::named($loads), Amount::named($carries));
    }
}
