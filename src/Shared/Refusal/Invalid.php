<?php

declare(strict_types=1);

namespace Lustrum\Shared\Refusal;

/** What was sent cannot be taken; says what is wrong where. */
final class Invalid extends Refusal
{
    public static function at(string $path, string $sentence): self
    {
        return self::because([['path' => $path, 'message' => $sentence]]);
    }

    /** @param non-empty-list<array{path: string, message: string}> $violations */
    public static function because(array $violations): self
    {
        $n = count($violations);

        return new self($n === 1 ? $violations[0]['message'] : sprintf('%d things need another look. Nothing was saved.', $n), $violations);
    }

    /** The same below $prefix, as in a file of many entries. */
    public function under(string $prefix): self
    {
        return new self(
            $this->getMessage(), array_map(static fn (array $v): array => ['path' => $prefix.'/'.$v['path']] + $v, $this->violations),
        );
    }
}
