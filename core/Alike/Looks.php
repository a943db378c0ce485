<?php

declare(strict_types=1);

namespace Lustrum\Core\Alike;

use Lustrum\Core\InvalidInput;

/** Who looks again after more runs has had more than one chance to be misled. */
final class Looks
{
    /** More than these cost no more. */
    public const MOST = 1_000;

    /**
     * The confidence of the k-th look: from the second on 1 − confidence is divided by k(k − 1), so that all later looks
     * together cost at most 1 − confidence once more (Σ 1/k(k − 1) = 1).
     *
     * @throws InvalidInput
     */
    public static function confidence(float $confidence, int $looks): float
    {
        if ($looks < 1 || $looks > self::MOST) {
            throw InvalidInput::because(sprintf('The first look is look 1, and there are %s at most.', number_format(self::MOST)), 'looks');
        }

        return $looks === 1 ? $confidence : 1 - (1 - $confidence) / ($looks * ($looks - 1));
    }
}
