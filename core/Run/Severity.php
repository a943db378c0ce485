<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

use Lustrum\Core\Quantity\Digits;

/**
 * How hard a run was: its levels on the factors of its method, and the state of its article. It is a partial order, since one
 * run may be harder in one way and milder in another.
 */
final class Severity
{
    /** Pairs that are remembered. */
    private const MOST = 20_000;

    private const SAME = 1e-9;

    /** @var array<string, Hardness> by both in short: a pure function of them, so this is only speed */
    private static array $known = [];

    /** All of it in short, once it was asked for; kept with it, since thousands are read back. */
    private string $short = '';

    /**
     * @param string                               $method     identifier
     * @param string                               $methodName
     * @param list<string>                         $represents names of methods that this one is as good as
     * @param array<array-key, FactorLevel|null>   $levels     by factor; null where it is not known
     * @param array<array-key, Harder>             $harder     by factor
     * @param string                               $state      of the article; none is a loose part, which is the real thing
     */
    private function __construct(
        public readonly string $method,
        private readonly string $methodName,
        private readonly array $represents,
        private readonly array $levels,
        private readonly array $harder,
        private readonly string $state,
    ) {
    }

    public static function ofRun(RunFact $run): self
    {
        $c = $run->configuration;

        return new self(
            $run->method, $c->methodName, $c->represents, Alikeness::levels($run), self::ends($c->factors),
            ArticleState::of($c->articleState),
        );
    }

    /**
     * Of a failure that happened outside a run, as it was typed.
     *
     * @param list<string>          $represents
     * @param list<Factor>          $factors
     * @param array<string, string> $typed levels by factor
     */
    public static function typed(string $method, string $name, array $represents, array $factors, array $typed, string $state): self
    {
        $levels = [];
        foreach ($factors as $factor) {
            if (!$factor->isBlock()) {
                $levels[$factor->name] = $factor->level($typed[$factor->name] ?? '');
            }
        }

        return new self($method, $name, $represents, $levels, self::ends($factors), ArticleState::of($state));
    }

    /** So hard on one scale, more is harder: where nothing is known but a number. */
    public static function number(float $size): self
    {
        $level = new FactorLevel((string) $size, Digits::short($size), $size);

        return new self('', '', [], ['severity' => $level], ['severity' => Harder::More], ArticleState::of(''));
    }

    /** Equal for tries that are alike in all of it, as recorded. */
    public function key(): string
    {
        $key = $this->method."\x1f".$this->state;
        foreach ($this->levels as $name => $level) {
            $key .= "\x1e".$name."\x1f".($level === null ? '?' : ($level->value ?? $level->key));
        }

        return $key;
    }

    /** How hard this one was beside another. */
    public function beside(self $other): Hardness
    {
        // Thousands of runs are as hard as one of a few: each pair of these is looked at once.
        if (count(self::$known) > self::MOST) {
            self::$known = [];
        }

        return self::$known[$this->inShort().' '.$other->inShort()] ??= $this->against($other);
    }

    /** Equal for what is equal in all that is compared. */
    public function inShort(): string
    {
        return $this->short !== '' ? $this->short : $this->short = md5(serialize([
            $this->method, $this->methodName, $this->represents, $this->levels, $this->harder, $this->state,
        ]));
    }

    private function against(self $other): Hardness
    {
        if ($this->method !== $other->method && !in_array($other->methodName, $this->represents, true)) {
            return Hardness::Apart;
        }
        $found = [self::states($this->state, $other->state)];
        foreach ($this->levels + $other->levels as $name => $_) {
            $found[] = self::levels(
                $this->levels[$name] ?? null, $other->levels[$name] ?? null, $other->harder[$name] ?? $this->harder[$name] ?? Harder::None,
            );
        }

        return match (true) {
            in_array(Hardness::Apart, $found, true) => Hardness::Apart,
            in_array(Hardness::Milder, $found, true) => Hardness::Milder,
            default => Hardness::AtLeast,
        };
    }

    /** Its levels as they are said; empty for a method without factors. */
    public function text(): string
    {
        return implode(' · ', array_map(
            static fn (string|int $name, ?FactorLevel $l): string => $l === null ? $name.' ?' : $l->text,
            array_keys($this->levels), $this->levels,
        ));
    }

    /** The same with the state of its article. */
    public function inFull(): string
    {
        return implode(' · ', array_filter([$this->text(), ArticleState::said($this->state)], static fn (string $t): bool => $t !== ''));
    }

    /** Does it have a level that nobody knows? Then nothing is as hard as it. */
    public function isKnown(): bool
    {
        return !in_array(null, $this->levels, true);
    }

    /** How hard one level is beside another of the same factor. */
    public static function levels(?FactorLevel $here, ?FactorLevel $other, Harder $harder): Hardness
    {
        if ($here === null || $other === null) {
            return Hardness::Apart;
        }
        [$a, $b] = [$here->size(), $other->size()];
        if ($harder === Harder::None || $a === null || $b === null) {
            return $here->key === $other->key ? Hardness::AtLeast : Hardness::Apart;
        }
        $more = ($a - $b) * ($harder === Harder::More ? 1 : -1);

        return $more >= -self::SAME * max(abs($a), abs($b)) ? Hardness::AtLeast : Hardness::Milder;
    }

    private static function states(string $here, string $other): Hardness
    {
        return match (true) {
            $here === $other, $here === ArticleState::PAYLOAD && $other === ArticleState::FINISHED => Hardness::AtLeast,
            // A mock-up or a model is never as hard as the real thing.
            ArticleState::isModel($here), $here === ArticleState::FINISHED && $other === ArticleState::PAYLOAD => Hardness::Milder,
            default => Hardness::Apart,
        };
    }

    /**
     * @param list<Factor> $factors
     *
     * @return array<array-key, Harder>
     */
    private static function ends(array $factors): array
    {
        return array_column($factors, 'harder', 'name');
    }
}
