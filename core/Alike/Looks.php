<?php

declare(strict_types=1);

namespace Lustrum\Core\Alike;

use Lustrum\Core\InvalidInput;

/** Who looks again after more runs has had more than one chance to be misled. */
final class Looks
{
    /**
     * The confidence of the k-th look: from the second on 1 − confidence is divided by k(k − 1), so that all later looks
     * together cost at most 1 − confidence once more (Σ 1/k(k − 1) = 1).
     *
     * @throws InvalidInput
     */
    public static function confidence(float $confidence, int $looks): float
    {
        if ($looks < 1) {
            throw InvalidInput::because('The first look is look 1.', 'looks');
        }

        return $looks === 1 ? $confidence : 1 - (1 - $confidence) / ($looks * ($looks - 1));
    }
}
