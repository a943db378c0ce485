<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

/**
 * What a run is like: the cell that its method and levels put it in, and the blocks that pair it.
 *
 * Runs of one method with equal levels of all factors are a cell. A level that is not known is equal to none, not even to
 * another that is not known: such a run is in no cell.
 */
final class Alikeness
{
    /** @var \WeakMap<Configuration, array<string, self>>|null a pure function of both, so this is only speed */
    private static ?\WeakMap $known = null;

    /**
     * @param string                $cell    key, which also says the method
     * @param string                $text    levels as they are said; empty for a method without factors
     * @param list<string>          $unknown factors whose level is not known
     * @param array<string, string> $blocks  by name; '' where it is not known
     * @param array<string, string> $named   the same as they were typed
     * @param float|null            $size    where it stands on the one factor that has an order, if there is one
     * @param string                $variant that it is of, where each is opposed to its own; empty: the cell holds all of them
     */
    private function __construct(
        public readonly string $cell,
        public readonly string $text,
        public readonly array $unknown,
        public readonly array $blocks,
        public readonly array $named,
        public readonly ?float $size,
        public readonly string $variant = '',
    ) {
    }

    public static function of(RunFact $run): self
    {
        // Thousands of runs are alike in a few ways: each is worked out once for what they were made with.
        self::$known ??= new \WeakMap();
        $of = self::$known[$run->configuration] ?? [];
        $key = self::asTyped($run);
        $of[$key] ??= self::workOut($run);
        self::$known[$run->configuration] = $of;

        return $of[$key];
    }

    /** All that it hangs on, as it was typed. */
    private static function asTyped(RunFact $run): string
    {
        $key = $run->method;
        foreach ($run->levels as $name => $typed) {
            $key .= "\x1e".$name."\x1f".$typed;
        }
        foreach ($run->configuration->factors as $factor) {
            $key .= match ($factor->isBlock() ? $factor->name : '') {
                Factor::OPERATOR => "\x1e".$run->operator,
                Factor::DAY => "\x1e".self::day($run),
                default => '',
            };
        }

        return $key;
    }

    private static function workOut(RunFact $run): self
    {
        $levels = self::levels($run);
        $keys = $texts = $unknown = [];
        foreach ($levels as $name => $level) {
            $keys[] = $name.'='.($level === null ? '?' : $level->key);
            if ($level === null) {
                $unknown[] = (string) $name;
            } else {
                $texts[] = $level->text;
            }
        }
        $blocks = $named = [];
        foreach ($run->configuration->factors as $factor) {
            if ($factor->isBlock()) {
                [$blocks[$factor->name], $named[$factor->name]] = self::block($factor, $run);
            }
        }
        $ladder = self::ladder($run->configuration);

        return new self(
            implode("\x1f", [$run->method, ...$keys]), implode(' · ', $texts), $unknown, $blocks, $named,
            $ladder === null ? null : ($levels[$ladder->name] ?? null)?->size(),
        );
    }

    /**
     * Levels of all factors, and of what else somebody noted as varied on this run.
     *
     * @return array<array-key, FactorLevel|null> by name; null where it is not known
     */
    public static function levels(RunFact $run): array
    {
        $out = $blocks = [];
        foreach ($run->configuration->factors as $factor) {
            if ($factor->isBlock()) {
                $blocks[$factor->name] = true;
            } else {
                $out[$factor->name] = $factor->level($run->levels[$factor->name] ?? '');
            }
        }
        foreach (array_diff_key($run->levels, $out, $blocks) as $name => $typed) {
            $level = Factor::inferred((string) $name, [$typed])->level($typed);
            if ($level !== null) {
                $out[$name] = $level;
            }
        }

        return $out;
    }

    /** The one factor whose levels have an order; null where there is none, or several. */
    public static function ladder(Configuration $configuration): ?Factor
    {
        $ordered = array_values(array_filter(
            $configuration->factors, static fn (Factor $f): bool => !$f->isBlock() && $f->kind !== FactorKind::Words
                // 'Up to on' says nothing: two states are no ladder.
                && ($f->kind !== FactorKind::Ordered || count($f->levels) > 2),
        ));

        return count($ordered) === 1 ? $ordered[0] : null;
    }

    /** Equal for runs that are alike in all of it. */
    public function key(): string
    {
        return $this->cell."\x1e".implode("\x1f", $this->blocks);
    }

    /** The same, where only runs of one variant are alike. */
    public function asVariant(string $variant): self
    {
        return $variant === '' ? $this : new self(
            $this->cell."\x1d".$variant, $this->text, $this->unknown, $this->blocks, $this->named, $this->size, $variant,
        );
    }

    /** The variant, and its levels. */
    public function said(): string
    {
        return implode(' · ', array_filter([$this->variant, $this->level()], static fn (string $s): bool => $s !== ''));
    }

    /** Levels as they are said, those that are not known by the name of their factor. */
    public function level(): string
    {
        $unknown = array_map(static fn (string $name): string => $name.' ?', $this->unknown);

        return implode(' · ', [...($this->text === '' ? [] : [$this->text]), ...$unknown]);
    }

    public function isKnown(): bool
    {
        return $this->unknown === [];
    }

    private static function day(RunFact $run): string
    {
        return substr($run->startedAt, 0, 10);
    }

    /** @return array{string, string} what is compared, and what is said */
    private static function block(Factor $factor, RunFact $run): array
    {
        $level = $factor->level($run->levels[$factor->name] ?? '');
        $said = match ($factor->name) {
            Factor::ARTICLE => $run->serial(),
            Factor::OPERATOR => $run->operator,
            Factor::DAY => self::day($run),
            default => null,
        };

        return $said === null ? [$level->key ?? '', $level->text ?? ''] : [$said, $said];
    }
}
