<?php

declare(strict_types=1);

namespace Lustrum\Core\Evidence;

use Lustrum\Core\Outcome\Result;
use Lustrum\Core\Outcome\ResultKind;

/**
 * The conditions that a requirement names, such as 'soil=moist': several words of one name are each as good.
 *
 * What a run did not record does no harm to it, but covers nothing either.
 */
final readonly class Conditions
{
    /** @param array<string, array<string, string>> $named name => words in small letters => as the requirement has them */
    private function __construct(
        private array $named,
    ) {
    }

    /** @param list<string> $conditions name=word */
    public static function of(array $conditions): self
    {
        $named = [];
        foreach ($conditions as $condition) {
            [$name, $word] = array_pad(explode('=', $condition, 2), 2, '');
            $named[trim($name)][self::tidy($word)] = $condition;
        }

        return new self($named);
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
        foreach ($results as $result) {
            foreach ($result->kind === ResultKind::Lost ? [] : $result->conditions as $name => $word) {
                unset($left[$name][self::tidy($word)]);
            }
        }

        return array_values(array_merge(...array_values(array_map(array_values(...), $left))));
    }

    private static function tidy(string $word): string
    {
        return mb_strtolower(trim($word));
    }
}
