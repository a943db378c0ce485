<?php

declare(strict_types=1);

namespace Lustrum\Core\Outcome;

use Lustrum\Core\InvalidInput;

/** One result of one run. */
final readonly class Result
{
    /**
     * @param float|null           $value      in the unit of the requirement; null for held, failed and lost
     * @param array<string, string> $conditions name => state as recorded; 'unknown' is a value
     * @param string                $article    empty: it is not known which, and the result stands for one of its own
     */
    private function __construct(
        public ResultKind $kind,
        public ?float $value,
        public array $conditions,
        public string $article,
    ) {
    }

    /**
     * @param array<string, string> $conditions
     *
     * @throws InvalidInput
     */
    public static function of(ResultKind $kind, ?float $value = null, array $conditions = [], string $article = ''): self
    {
        $valued = $kind->hasValue();
        if ($valued && ($value === null || !is_finite($value))) {
            throw InvalidInput::because('This kind of result needs a finite value.', 'value');
        }

        return new self($kind, $valued ? $value : null, $conditions, $article);
    }

    /**
     * @param list<self> $results
     *
     * @return list<float> of those that are values: no bounds
     */
    public static function values(array $results): array
    {
        $out = [];
        foreach ($results as $result) {
            if ($result->kind === ResultKind::Equal && $result->value !== null) {
                $out[] = $result->value;
            }
        }

        return $out;
    }

    /**
     * @param list<self> $results
     *
     * @return list<non-empty-list<self>> those of one article together, by first appearance
     */
    public static function byArticle(array $results): array
    {
        $out = [];
        foreach ($results as $i => $result) {
            $out[$result->article === '' ? "\x1f".$i : $result->article][] = $result;
        }

        return array_values($out);
    }
}
