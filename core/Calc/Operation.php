<?php

declare(strict_types=1);

namespace Lustrum\Core\Calc;

/** One named operation of the core, as `lustrum:calc` offers it. */
final readonly class Operation
{
    /**
     * @param array<string, string>                  $inputs  field => what it is; a trailing '?' marks an optional one
     * @param array<string, string>                  $outputs field => what it is
     * @param \Closure(Input): array<string, mixed>  $run
     */
    public function __construct(
        public string $name,
        public string $summary,
        public array $inputs,
        public array $outputs,
        private \Closure $run,
    ) {
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
        $fields->only(array_map(static fn (string $f): string => rtrim($f, '?'), array_keys($this->inputs)));

        return ($this->run)($fields);
    }
}
