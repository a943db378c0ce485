<?php

declare(strict_types=1);

namespace Lustrum\Core\Working;

/**
 * A sum of the bench. Adding one is one class of this interface in `Sum`, and its test: it is found by the name of its
 * class, and the screen is drawn from what it says of itself.
 */
interface Working
{
    public function about(): About;

    /**
     * Works it out in SI units: a rotation in turns a second, a temperature in kelvin, a share as a fraction.
     *
     * @return array<string, float|list<float>|null> by output; without those whose inputs were not given, and null where
     *     there is none
     *
     * @throws \Lustrum\Core\CoreException|\ArithmeticError
     */
    public function work(Given $in): array;
}
