<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Outcome\Result;
use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Run\Alikeness;

/** What some runs of a build say of one requirement, before it is judged; in columns, so that it is small to keep. */
final class Gathered
{
    /** @var list<ResultKind> */
    private array $kinds = [];

    /** @var list<float|null> in the unit of the requirement */
    private array $values = [];

    /** @var list<int> which of the states below each was made in */
    private array $made = [];

    /** @var list<array{array<string, string>, string, string, string, string, string}> conditions as recorded, article, cell, its words, rater, arm */
    private array $states = [];

    /** Step of the coarsest last digit among the values, in the unit of the requirement. */
    public float $step = 0.0;

    /** @var array<string, Difference> between the build as these runs were made with it and as it is now, by name */
    public array $differs = [];

    public Notes $notes;

    public function __construct()
    {
        $this->notes = new Notes();
    }

    /** @param string $rater who rated; empty: nobody said, or it is no rating */
    public function take(Result $result, Alikeness $alike, string $rater, string $arm, float $step): void
    {
        $made = [$result->conditions, $result->article, $alike->cell, $alike->said(), $rater, $arm];
        $state = array_search($made, $this->states, true);
        if ($state === false) {
            $state = count($this->states);
            $this->states[] = $made;
        }
        $this->kinds[] = $result->kind;
        $this->values[] = $result->value;
        $this->made[] = $state;
        if ($result->kind === ResultKind::Equal) {
            $this->step = max($this->step, $step);
        }
    }

    /** @param list<Difference> $found */
    public function differ(array $found): void
    {
        $this->differs += array_column($found, null, 'name');
    }

    /** @return array{string, string, string, list<mixed>, float, array<string, Difference>, Notes} */
    public function __serialize(): array
    {
        $places = array_flip(array_map(static fn (ResultKind $k): string => $k->value, ResultKind::cases()));

        return [
            implode('', array_map(static fn (ResultKind $k): string => (string) $places[$k->value], $this->kinds)),
            Columns::floats($this->values), Columns::ints($this->made), $this->states, $this->step, $this->differs, $this->notes,
        ];
    }

    /**
     * @param array{string, string, string, list<array{array<string, string>, string, string, string, string, string}>, float,
     *     array<string, Difference>, Notes} $kept
     */
    public function __unserialize(array $kept): void
    {
        $cases = ResultKind::cases();
        [$kinds, $values, $made, $this->states, $this->step, $this->differs, $this->notes] = $kept;
        $this->kinds = $kinds === '' ? [] : array_map(static fn (string $place): ResultKind => $cases[(int) $place], str_split($kinds));
        $this->values = Columns::floatsOf($values);
        $this->made = Columns::intsOf($made);
    }

    /**
     * @param string|null $arm only those of it; null: all
     *
     * @return list<array{Result, string, string, string}> with the cell of each, how that is said, and who rated
     */
    public function results(?string $arm = null): array
    {
        $out = [];
        foreach ($this->kinds as $i => $kind) {
            [$conditions, $article, $cell, $text, $rater, $own] = $this->states[$this->made[$i]];
            if ($arm !== null && $own !== $arm) {
                continue;
            }
            $out[] = [Result::of($kind, $this->values[$i], $conditions, $article), $cell, $text, $rater];
        }

        return $out;
    }
}
