<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

/**
 * Values by name, of which each is opened by itself once it is asked for: much is kept of many runs, and little of it wanted at a time.
 *
 * @template T
 */
final class ByName
{
    /** @var array<array-key, string> what was kept and not asked for yet */
    private array $closed = [];

    /** @param array<array-key, T> $open */
    public function __construct(
        private array $open,
    ) {
    }

    /** @return list<string> */
    public function names(): array
    {
        return array_map(strval(...), array_keys($this->open + $this->closed));
    }

    /** @return T|null null where it holds none of that name */
    public function get(string $name): mixed
    {
        if (isset($this->closed[$name])) {
            /** @var T $value */
            $value = unserialize($this->closed[$name]);
            $this->open[$name] = $value;
            unset($this->closed[$name]);
        }

        return $this->open[$name] ?? null;
    }

    /** @return array<array-key, string> */
    public function __serialize(): array
    {
        return array_map(serialize(...), $this->open) + $this->closed;
    }

    /** @param array<array-key, string> $kept */
    public function __unserialize(array $kept): void
    {
        [$this->open, $this->closed] = [[], $kept];
    }
}
