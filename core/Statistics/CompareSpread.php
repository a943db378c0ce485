<?php

declare(strict_types=1);

namespace Lustrum\Core\Statistics;

use Lustrum\Core\InvalidInput;
use Lustrum\Core\Statistics\Distribution\FisherF;

/** How far two samples spread (`stats.compareSpread`): the ratio of their standard deviations, b over a, by F. */
final readonly class CompareSpread
{
    private function __construct(
        public ?float $estimate,
        public ?float $low,
        public ?float $high,
        public ?float $p,
        public Verdict $verdict,
    ) {
    }

    /**
     * @param list<float> $a
     * @param list<float> $b
     *
     * @throws NoValues|InvalidInput
     */
    public static function of(array $a, array $b, float $confidence): self
    {
        [$a, $b] = [Sample::of($a, 'a'), Sample::of($b, 'b')];
        foreach (['a' => $a, 'b' => $b] as $name => $sample) {
            if ($sample->sd === null) {
                throw InvalidInput::because('One value has no spread; two are the least.', $name);
            }
        }
        $ratio = $a->sd > 0 ? $b->sd / $a->sd : null;
        if ($ratio === null || $ratio <= 0.0) {
            return new self($ratio, null, null, null, Verdict::Indistinct);
        }
        [$df1, $df2] = [$b->n - 1, $a->n - 1];
        $half = (1 - $confidence) / 2;
        $low = $ratio / sqrt(FisherF::quantile(1 - $half, $df1, $df2));
        $high = $ratio / sqrt(FisherF::quantile($half, $df1, $df2));
        $p = min(1.0, 2 * min(FisherF::cdf($ratio ** 2, $df1, $df2), FisherF::upper($ratio ** 2, $df1, $df2)));

        return new self($ratio, $low, $high, $p, match (true) {
            $low > 1 => Verdict::Higher,
            $high < 1 => Verdict::Lower,
            default => Verdict::Indistinct,
        });
    }
}
