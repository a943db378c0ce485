<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Field;

use Lustrum\Core\Run\Factor;
use Lustrum\Core\Run\FactorKind;
use Lustrum\Core\Run\RunFact;

/** The last run that held: what it was made with, so that what differs can be told without network. */
final readonly class LastGood
{
    /** @param list<GoodFound> $found levels, conditions, settings, article, firmware and build, as they were */
    private function __construct(
        public int $number,
        public string $letter,
        public array $found,
    ) {
    }

    public static function of(RunFact $run): self
    {
        $c = $run->configuration;
        $found = [
            'build' => $c->letter, 'article' => $run->serial(), 'firmware' => $c->firmware, ...$run->levels, ...$run->conditions,
            ...$run->settings,
        ];
        $said = array_filter($found, static fn (string $text): bool => trim($text) !== '');

        $units = array_filter(array_column([...$c->settings, ...$c->conditions], 'unit', 'name')) + array_column(
            array_filter($c->factors, static fn (Factor $f): bool => $f->kind === FactorKind::Number), 'unit', 'name',
        );

        return new self($run->number, $c->letter, array_map(
            static fn (string|int $name, string $text): GoodFound => GoodFound::of((string) $name, $text, $units[$name] ?? ''),
            array_keys($said), $said,
        ));
    }
}
