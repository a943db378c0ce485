<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Field;

use Lustrum\Core\Run\Factor;
use Lustrum\Core\Run\FactorKind;
use Lustrum\Core\Run\RunFact;

/** The last run that held: what it was made with, so that what differs can be told without network. */
final readonly class LastGood
{
    /**
     * @param list<GoodFound>     $found levels, conditions and settings as they were
     * @param list<MadeOtherwise> $made  of each article, and of what is none by its state: in what it is made otherwise
     */
    private function __construct(
        public int $number,
        public string $letter,
        public array $found,
        public array $made,
    ) {
    }

    /** @param list<MadeOtherwise> $made */
    public static function of(RunFact $run, array $made): self
    {
        $c = $run->configuration;
        $said = array_filter([...$run->levels, ...$run->conditions, ...$run->settings], static fn (string $text): bool => trim($text) !== '');

        $units = array_filter(array_column([...$c->settings, ...$c->conditions], 'unit', 'name')) + array_column(
            array_filter($c->factors, static fn (Factor $f): bool => $f->kind === FactorKind::Number), 'unit', 'name',
        );

        return new self($run->number, $c->letter, array_map(
            static fn (string|int $name, string $text): GoodFound => GoodFound::of((string) $name, $text, $units[$name] ?? ''),
            array_keys($said), $said,
        ), $made);
    }
}
