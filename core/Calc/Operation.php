<?php

declare(strict_types=1);

namespace Lustrum\Core\Calc;

use Lustrum\Core\NumberRange;

/** One named operation of the core, as `lustrum:calc` offers it. */
final readonly class Operation
{
    /** @var array<string, string> */
    public array $inputs;

    /** @var array<string, string> */
    public array $outputs;

    /**
     * @param array<string, string>                  $inputs  field => what it is; a trailing '?' marks an optional one
     * @param array<string, string>                  $outputs field => what it is
     * @param \Closure(Input): array<string, mixed>  $run
     */
    public function __construct(
        public string $name,
        public string $summary,
        array $inputs,
        array $outputs,
        private \Closure $run,
    ) {
        $isCut = NaturalEnds::allowedIn($name);
        $this->inputs = $inputs + ($isCut ? ['natural?' => 'low, high: what no value can lie beyond'] : []);
        $this->outputs = $outputs + ($isCut ? ['cut' => 'ends that were cut off at a natural limit'] : []);
    }

    /**
     * @param array<array-key, mixed> $input
     *
     * @return array<string, mixed>
     *
     * @throws \Lustrum\Core\CoreException
     */
    public function answer(array $input): array
    {
        $fields = new Input($input);
        $allowed = array_map(static fn (string $f): string => rtrim($f, '?'), array_keys($this->inputs));
        $fields->only($allowed);
        $answer = ($this->run)($fields);
        self::mustBeFinite($answer);

        return in_array('natural', $allowed, true) ? NaturalEnds::cut($this->name, $answer, NaturalEnds::read($fields)) : $answer;
    }

    /** @throws NumberRange */
    private static function mustBeFinite(mixed $answer): void
    {
        if (is_float($answer) && !is_finite($answer)) {
            throw NumberRange::left();
        }
        foreach (is_iterable($answer) ? $answer : (is_object($answer) ? get_object_vars($answer) : []) as $part) {
            self::mustBeFinite($part);
        }
    }
}
