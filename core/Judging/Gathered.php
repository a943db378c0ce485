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

    /**
     * @var list<array{array<string, string>, string, string, string, string, string, string, string}> conditions as recorded, article,
     *     cell, its words, rater, arm, what the run was made with otherwise than its build is now, and what its article had otherwise
     */
    private array $states = [];

    /**
     * @var array<string, array{string, array<string, Difference>}> by what they were made with otherwise: where the last run stands,
     *     and what it is
     */
    private array $differing = [];

    /** @var array<string, array<string, string>> by article and arm, and what it had otherwise: where the first run stands */
    private array $first = [];

    /** Step of the coarsest last digit among the values, in the unit of the requirement. */
    public float $step = 0.0;

    public Notes $notes;

    public function __construct()
    {
        $this->notes = new Notes();
    }

    /**
     * @param string           $rater   who rated; empty: nobody said, or it is no rating
     * @param list<Difference> $differs between what the run was made with and the build as it is now
     * @param string           $order   where the run stands
     * @param string           $own     what its article had otherwise, in short
     */
    public function take(
        Result $result, Alikeness $alike, string $rater, string $arm, float $step, array $differs = [], string $order = '',
        string $own = '',
    ): void {
        $key = implode("\x1e", array_map(static fn (Difference $d): string => implode("\x1f", [$d->name(), $d->was]), $differs));
        if ($order >= ($this->differing[$key][0] ?? '')) {
            $this->differing[$key] = [$order, array_column($differs, null, 'name')];
        }
        $made = [$result->conditions, $result->article, $alike->cell, $alike->said(), $rater, $arm, $key, $own];
        $this->first[$on = $result->article."\x1d".$arm][$own] = min($order, $this->first[$on][$own] ?? $order);
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

    /**
     * Of several states of the build before it was edited, or of its articles, the one that was tried last: they are not put together.
     *
     * @param list<self> $some
     *
     * @return array{string|null, array<string, Difference>} which, and in what it differs from the build as it is now; null: none
     */
    public static function last(array $some): array
    {
        $last = [null, '', []];
        foreach ($some as $gathered) {
            foreach ($gathered->differing as $key => [$order, $differs]) {
                $last = $last[0] === null || $order > $last[1] ? [(string) $key, $order, $differs] : $last;
            }
        }

        return [$last[0], $last[2]];
    }

    /**
     * Of each article one state: what it had otherwise, by article and arm.
     *
     * @param list<self> $some
     *
     * @return array<string, string>
     */
    public static function asBuilt(array $some): array
    {
        $all = [];
        foreach ($some as $gathered) {
            foreach ($gathered->first as $on => $states) {
                foreach ($states as $own => $at) {
                    $all[] = [(string) $on, (string) $own, $at];
                }
            }
        }

        return array_column(AsBuilt::of($all, static fn (array $of): array => $of), 1, 0);
    }

    /** @return list<mixed> */
    public function __serialize(): array
    {
        $places = array_flip(array_map(static fn (ResultKind $k): string => $k->value, ResultKind::cases()));

        return [
            implode('', array_map(static fn (ResultKind $k): string => (string) $places[$k->value], $this->kinds)),
            Columns::floats($this->values), Columns::ints($this->made), $this->states, $this->step, $this->differing, $this->first,
            $this->notes,
        ];
    }

    /**
     * @param array{string, string, string, list<array{array<string, string>, string, string, string, string, string, string, string}>,
     *     float, array<string, array{string, array<string, Difference>}>, array<string, array<string, string>>, Notes} $kept
     */
    public function __unserialize(array $kept): void
    {
        $cases = ResultKind::cases();
        [$kinds, $values, $made, $this->states, $this->step, $this->differing, $this->first, $this->notes] = $kept;
        $this->kinds = $kinds === '' ? [] : array_map(static fn (string $place): ResultKind => $cases[(int) $place], str_split($kinds));
        $this->values = Columns::floatsOf($values);
        $this->made = Columns::intsOf($made);
    }

    /**
     * @param string|null $arm  only those of it; null: all
     * @param string|null $made only those made with this otherwise than the build; null: all
     * @param array<string, string>|null $asBuilt only those on which each article had this otherwise; null: all
     *
     * @return list<array{Result, string, string, string}> with the cell of each, how that is said, and who rated
     */
    public function results(?string $arm = null, ?string $made = null, ?array $asBuilt = null): array
    {
        $states = array_filter($this->states, static function (array $state) use ($arm, $made, $asBuilt): bool {
            [, $article, , , , $of, $key, $own] = $state;

            return ($arm === null || $of === $arm) && ($made === null || $key === $made)
                && ($asBuilt === null || $own === ($asBuilt[$article."\x1d".$of] ?? null));
        });
        $out = [];
        foreach ($this->made as $i => $state) {
            if (isset($states[$state])) {
                [$conditions, $article, $cell, $text, $rater] = $states[$state];
                $out[] = [Result::of($this->kinds[$i], $this->values[$i], $conditions, $article), $cell, $text, $rater];
            }
        }

        return $out;
    }

    /** @param string|null $arm only those of it; null: all */
    public function count(?string $arm): int
    {
        $of = array_count_values($this->made);

        return $arm === null ? count($this->made) : array_sum(array_map(
            static fn (array $state, int $i): int => $state[5] === $arm ? $of[$i] : 0, $this->states, array_keys($this->states),
        ));
    }
}
