<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Brief;

use Lustrum\Domain\Device\DeviceView;
use Lustrum\Domain\Device\MetricView;
use Lustrum\Domain\Device\RequirementView;
use Lustrum\Sheet\Choice\Pick;

/** The device's own sheet: brief, limits, requirements and metrics. */
final readonly class BriefSheet
{
    /**
     * @param list<RequirementView> $requirements
     * @param list<MetricView>      $measured     metrics of the device, by name
     * @param list<string>          $metrics      their names, for choosing from
     * @param list<Pick>            $places       levels and conditions that methods know
     * @param list<Pick>            $sizes        what of these has a size, with its unit
     * @param list<string>          $methods      names
     * @param list<UseRow>          $uses
     * @param string                $judged       letter of the build that the uses and the steps are judged on; empty: none yet
     * @param list<StepRow>         $steps        in the order of use
     * @param list<AssumptionRow>   $assumptions  those that are not settled first
     * @param list<PersonRow>       $persons
     * @param list<Pick>            $failures     to pick as findings
     * @param list<Pick>            $moduleRequirements of modules that the device carries
     * @param list<string>          $carriers     devices that carry this one as a module, in words
     * @param string                $origin       where it began; empty: here
     * @param list<Pick>            $runs         that ended last, to pick as findings
     */
    public function __construct(
        public string $sentence,
        public string $limits,
        public DeviceView $device,
        public array $requirements,
        public array $measured,
        public array $metrics,
        public array $places,
        public array $sizes,
        public array $methods,
        public array $uses,
        public string $judged,
        public array $steps,
        public string $stepsSaid,
        public array $assumptions,
        public string $assumptionsSaid,
        public array $persons,
        public array $failures,
        public array $runs,
        public array $moduleRequirements,
        public array $carriers,
        public string $origin,
    ) {
    }
}
