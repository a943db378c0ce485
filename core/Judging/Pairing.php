<?php

declare(strict_types=1);

namespace Lustrum\Core\Judging;

use Lustrum\Core\Alike\AlikeRuns;

/**
 * Which runs of two sides may be opposed: by the cells that both have, and within them by the blocks that both have.
 *
 * A block of which no level is on both sides (articles of two builds, other raters, other days) pairs nothing: it is left
 * out, and named. Where some methods have a block and others do not, it is left out too.
 */
final readonly class Pairing
{
    /**
     * @param list<AlikeRuns>       $runs
     * @param array<string, string> $texts   cells as they are said, by what stands for them in $runs
     * @param list<string>          $blocks  that pair them
     * @param list<string>          $leftOut blocks of which no level is on both sides
     * @param array<string, string> $named   blocks as they were typed, by what stands for them in $runs
     * @param list<Sided>           $matched in cells and blocks that both sides have
     */
    private function __construct(
        public array $runs,
        public array $texts,
        public array $blocks,
        public array $leftOut,
        public array $matched,
        private array $named,
    ) {
    }

    /** @param list<Sided> $sided of both sides */
    public static function of(array $sided): self
    {
        [$blocks, $leftOut] = Blocks::between($sided, array_column($sided, 'side'));
        $runs = $texts = $sides = $strata = $named = [];
        foreach ($sided as $i => $one) {
            $cell = Blocks::cell($one, $one->side);
            $texts[$cell] = $one->alike->said();
            $block = Blocks::of($one, $one->side, $blocks);
            $named[(string) $block] = self::named($one, $blocks);
            $strata[$i] = $cell."\x1e".$block;
            $sides[$strata[$i]][$one->side] = true;
            array_push($runs, ...$one->runs($one->side, $cell, $block));
        }
        $matched = array_values(array_filter(
            $sided, static fn (int $i): bool => count($sides[$strata[$i]]) === 2, \ARRAY_FILTER_USE_KEY,
        ));

        return new self($runs, $texts, $blocks, $leftOut, $matched, $named);
    }

    /**
     * @param 'a'|'b' $side
     *
     * @return list<Bunch> of it, that are opposed to something
     */
    public function bunches(string $side): array
    {
        $out = [];
        foreach ($this->matched as $one) {
            if ($one->side === $side && $one->bunch !== null) {
                $out[] = $one->bunch;
            }
        }

        return $out;
    }

    /**
     * @param 'a'|'b' $side
     *
     * @return list<Circumstances> under which its runs that are opposed to something were made
     */
    public function circumstances(string $side): array
    {
        return array_values(array_filter(array_map(
            static fn (Sided $one): ?Circumstances => $one->side === $side ? $one->bunch->circumstances ?? $one->from : null,
            $this->matched,
        )));
    }

    /**
     * @param 'a'|'b' $side
     *
     * @return list<string> serials of its articles that are opposed to something
     */
    public function articles(string $side): array
    {
        $out = [];
        foreach ($this->matched as $one) {
            if ($one->side === $side && $one->article !== '') {
                $out[$one->article] = true;
            }
        }

        return array_map(strval(...), array_keys($out));
    }

    /** A level, and a block within it, as they are said. */
    public function said(string $cell, ?string $block): string
    {
        $said = [$this->texts[$cell] ?? '', $this->named[(string) $block] ?? ''];

        return implode(' · ', array_filter($said, static fn (string $t): bool => $t !== ''));
    }

    /** @param list<string> $names */
    private static function named(Sided $one, array $names): string
    {
        return implode(' · ', array_filter(array_map(
            static fn (string $name): string => $one->alike->named[$name] ?? $one->alike->blocks[$name] ?? '', $names,
        ), static fn (string $t): bool => $t !== ''));
    }
}
