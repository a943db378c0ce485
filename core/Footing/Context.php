<?php

declare(strict_types=1);

namespace Lustrum\Core\Footing;

/**
 * Under which circumstances a group of runs was made, as far as a comparison must know.
 */
final readonly class Context
{
    /**
     * @param string                                                $method      name
     * @param list<Instrument>                                      $instruments
     * @param list<string>                                          $operators
     * @param list<UnitPast>                                        $units articles, and loose parts of which somebody said what they are
     * @param array<string, list<string>>                           $lots        material => lots used
     * @param list<string>                                          $firmware
     * @param array<string, Level>                                  $settings
     * @param array<string, Level>                                  $conditions
     * @param list<array{what: string, class: string, bears: bool}> $changes     from the common ancestor; bears: may act on the metric
     * @param array<string, list<string>>                           $others      part => serials of other articles that played it
     * @param array<string, list<string>>                           $deviants    serial => in what the article is otherwise than its build
     * @param array<string, array{intended: string, is: string, n: int}> $off     condition => as the method holds it, as it was, on how
     *     many runs
     * @param list<string>                                          $about       of these changes, what the comparison is about
     */
    public function __construct(
        public string $method,
        public int $methodVersion = 1,
        public ?string $rig = null,
        public array $instruments = [],
        public array $operators = [],
        public array $units = [],
        public array $lots = [],
        public array $firmware = [],
        public array $settings = [],
        public array $conditions = [],
        public ?string $from = null,
        public ?string $to = null,
        public int $runs = 0,
        public int $stoppedEarly = 0,
        public array $changes = [],
        public array $about = [],
        public array $others = [],
        public array $deviants = [],
        public array $off = [],
    ) {
    }

    /** @return list<UnitPast> whose past is known */
    public function articles(): array
    {
        return array_values(array_filter($this->units, static fn (UnitPast $u): bool => $u->serial !== ''));
    }
}
