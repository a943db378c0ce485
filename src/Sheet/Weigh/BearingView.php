<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Weigh;

use Lustrum\Core\Judging\Bearing;
use Lustrum\Core\Judging\Build;
use Lustrum\Core\Wording\ChangeWords;

/** Differences that bear on a metric, of which one touch says that they do not; and those of which somebody said so. */
final readonly class BearingView
{
    /**
     * @param list<BearingRow>   $bear
     * @param list<UnrelatedRow> $said
     */
    private function __construct(
        public array $bear,
        public array $said,
    ) {
    }

    /**
     * @param list<Bearing> $bearing
     * @param list<Build>   $builds
     */
    public static function of(array $bearing, array $builds, string $metricId, string $metric): self
    {
        $said = [];
        foreach ($builds as $build) {
            foreach ($build->unrelated->of[$metricId] ?? [] as ['what' => $what, 'by' => $by, 'id' => $id]) {
                $said[] = new UnrelatedRow($id, ChangeWords::unrelated($what, $by, $metric, $build->letter));
            }
        }

        return new self(array_map(static fn (Bearing $b): BearingRow => new BearingRow(
            $b->build, $b->what, ChangeWords::bearing($b->what), ChangeWords::bearsNot($b->what, $metric),
        ), $bearing), $said);
    }
}
