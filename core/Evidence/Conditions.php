<?php

declare(strict_types=1);

namespace Lustrum\Core\Evidence;

use Lustrum\Core\CoreException;
use Lustrum\Core\Outcome\Result;
use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Core\Quantity\Quantity;

/**
 * The conditions and levels that a requirement names, such as 'soil=moist' or 'drop height>=0.75 m': several words of one name
 * are each as good, and each must be covered.
 *
 * A word that a run did not record does no harm to it, but covers nothing either; of a range only what is known to lie in it
 * counts.
 */
final readonly class Conditions
{
    private const SAME = 1e-9;

    /**
     * @param array<string, array<string, string>>                     $named  name => words in small letters => as the requirement has them
     * @param list<array{string, bool, Quantity, string}>              $ranges name, whether it is the lower end, the end, as the requirement has it
     */
    private function __construct(
        private array $named,
        private array $ranges,
    ) {
    }

    /**
     * @param list<string> $conditions name=word, name>=quantity, name<=quantity
     *
     * @throws CoreException where the end of a range is no quantity
     */
    public static function of(array $conditions): self
    {
        $named = $ranges = [];
        foreach ($conditions as $condition) {
            if (preg_match('/^(?<name>.+?)\s*(?<relation>>=|<=|≥|≤)\s*(?<end>.+)$/u', $condition, $m) === 1) {
                $isLower = in_array($m['relation'], ['>=', '≥'], true);
                $ranges[] = [trim($m['name']), $isLower, self::quantity($m['end']), $condition];
                continue;
            }
            [$name, $word] = array_pad(explode('=', $condition, 2), 2, '');
            $named[trim($name)][self::tidy($word)] = $condition;
        }

        return new self($named, $ranges);
    }

    /**
     * Those that speak of what the requirement is about.
     *
     * @template T
     *
     * @param list<T>             $all
     * @param callable(T): Result $of
     *
     * @return list<T>
     */
    public function among(array $all, callable $of): array
    {
        // Of thousands of runs most are asked for nothing.
        return $this->named === [] && $this->ranges === [] ? $all : array_values(array_filter(
            $all, fn (mixed $one): bool => $this->admit($of($one)),
        ));
    }

    /** Does this run speak of what the requirement is about? */
    public function admit(Result $result): bool
    {
        foreach ($this->named as $name => $words) {
            $recorded = $result->conditions[$name] ?? null;
            if ($recorded !== null && !isset($words[self::tidy($recorded)])) {
                return false;
            }
        }
        foreach ($this->ranges as [$name, $isLower, $end]) {
            if (!self::within($result->conditions[$name] ?? '', $isLower, $end)) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param list<Result> $results that were admitted
     *
     * @return list<string> as the requirement names them, in its order
     */
    public function missing(array $results): array
    {
        $left = $this->named;
        if ($left === [] && $this->ranges === []) {
            return [];
        }
        foreach ($results as $result) {
            if ($left === []) {
                break;
            }
            foreach ($result->kind === ResultKind::Lost ? [] : array_intersect_key($result->conditions, $left) as $name => $word) {
                unset($left[$name][self::tidy($word)]);
                $left = array_filter($left);
            }
        }

        $tried = array_filter($results, static fn (Result $r): bool => $r->kind !== ResultKind::Lost) !== [];

        return [
            ...array_values(array_merge(...array_values(array_map(array_values(...), $left)))),
            ...($tried ? [] : array_column($this->ranges, 3)),
        ];
    }

    private static function within(string $recorded, bool $isLower, Quantity $end): bool
    {
        try {
            $value = self::quantity($recorded)->to($end->unit->symbol)->value;
        } catch (CoreException) {
            return false;
        }
        // 75 cm and 0.75 m are one level, whatever the last bit says.
        $slack = self::SAME * max(abs($value), abs($end->value));

        return $isLower ? $value >= $end->value - $slack : $value <= $end->value + $slack;
    }

    /** A plain number needs no unit. */
    private static function quantity(string $text): Quantity
    {
        $text = trim($text);

        return is_numeric($text) ? Quantity::of((float) $text, '1') : Quantity::typed($text);
    }

    private static function tidy(string $word): string
    {
        return mb_strtolower(trim($word));
    }
}
