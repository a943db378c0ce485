<?php

declare(strict_types=1);

namespace Lustrum\Core\Working;

/** What a sum is worked out from, in SI units; whatever it needs is there. */
final readonly class Given
{
    /**
     * @param array<string, float|null>  $ones
     * @param array<string, list<float>> $many
     * @param array<string, string>      $choices and lines
     */
    public function __construct(
        private array $ones,
        private array $many = [],
        private array $choices = [],
    ) {
    }

    public function has(string ...$names): bool
    {
        return array_filter($names, fn (string $n): bool => !isset($this->ones[$n]) && !isset($this->many[$n])) === [];
    }

    /** What is needed, or has a default. */
    public function the(string $name): float
    {
        return $this->ones[$name] ?? throw new \LogicException('“'.$name.'” is neither needed nor has it a default.');
    }

    public function maybe(string $name): ?float
    {
        return $this->ones[$name] ?? null;
    }

    /** @return list<float> */
    public function many(string $name): array
    {
        return $this->many[$name] ?? [];
    }

    public function choice(string $name): string
    {
        return $this->choices[$name] ?? '';
    }

    public function lines(string $name): string
    {
        return $this->choices[$name] ?? '';
    }

    /** The same with one value moved; of a list, the one at a place. */
    public function moved(string $name, float $by, ?int $at = null): self
    {
        if ($at === null) {
            return new self([$name => $this->the($name) + $by] + $this->ones, $this->many, $this->choices);
        }
        $list = $this->many($name);
        $list[$at] = ($list[$at] ?? 0.0) + $by;

        return new self($this->ones, [$name => array_values($list)] + $this->many, $this->choices);
    }

    public function with(string $name, float $value): self
    {
        return new self([$name => $value] + $this->ones, $this->many, $this->choices);
    }
}
