<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Methods;

use Lustrum\Domain\Finding\ObservationView;
use Lustrum\Domain\Method\MethodView;
use Lustrum\Sheet\Choice\Pick;

/** One method, read as an instruction; each line by the name of the field that it says. */
final readonly class MethodSheet
{
    /**
     * @param list<MethodSection>             $sections
     * @param string                          $takes       minutes, in words
     * @param string                          $mind        hazards, cautions and when to stop
     * @param string                          $carries     how much of its use it carries; empty: nobody said which
     * @param list<EditionRow>                $editions    newest first
     * @param list<string>                    $metrics     known on the device, for choosing from
     * @param list<string>                    $instruments of the team
     * @param list<string>                    $methods     the others of the device
     * @param list<Pick>                      $steps       of use, in their order
     * @param list<Pick>                      $uses
     * @param list<ObservationView>           $remarks     ideas and complaints, what is not settled first
     * @param string|null                     $build       that a new one is kept with; null: there is none yet
     * @param list<Pick>                      $measurable  what relations between readings know
     */
    public function __construct(
        public string $sentence,
        public MethodView $method,
        public int $runs,
        public array $sections,
        public string $takes,
        public string $mind,
        public string $carries,
        public array $editions,
        public array $metrics,
        public array $instruments,
        public array $methods,
        public array $steps,
        public array $uses,
        public array $measurable,
        public array $remarks,
        public ?string $build,
    ) {
    }
}
