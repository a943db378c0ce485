<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Try;

use Lustrum\Core\Plan\LeftOut;
use Lustrum\Core\Plan\Minutes;
use Lustrum\Core\Plan\Progress;
use Lustrum\Core\Plan\SettingSearch;
use Lustrum\Core\Plan\SettingTried;
use Lustrum\Core\Plan\Slot;
use Lustrum\Core\Plan\SlotSeen;
use Lustrum\Core\Run\RunOutcome;
use Lustrum\Core\Setting\NextReason;
use Lustrum\Core\Wording\Numbers;
use Lustrum\Core\Wording\PlanWords;
use Lustrum\Domain\Revision\Article;
use Lustrum\Domain\Trial\Found;

/** The plan of a trial: its runs in their order, and how far it came. */
final readonly class PlanRow
{
    /**
     * @param list<SlotRow>       $slots
     * @param list<PlannedCell>   $leftOut
     * @param SlotRow|null        $next    the run that is begun in one touch; null: it is done
     * @param Found|null          $sets    what it is set to, where a setting is being found
     * @param string              $widen   what a range that is used up asks for; empty: it is not
     * @param string|null         $article that it is begun with; null: none is here
     */
    private function __construct(
        public string $sentence,
        public array $slots,
        public array $leftOut,
        public ?SlotRow $next,
        public ?string $article,
        public string $serial,
        public ?Found $sets = null,
        public string $widen = '',
    ) {
    }

    /**
     * @param list<Article> $articles that are here
     * @param list<string>  $used     articles of the runs of the trial, in their order
     */
    public static function of(Progress $progress, Minutes $minutes, array $articles, array $used): self
    {
        $slots = array_map(static fn (SlotSeen $s): SlotRow => SlotRow::of($s), $progress->slots);
        $next = $progress->next();
        $article = $next === null ? null : self::article($next->arm, $articles, $used);

        return new self(
            PlanWords::progress($progress, $minutes), $slots, array_map(static fn (LeftOut $l): PlannedCell => new PlannedCell(
                self::found($l->levels), $l->arm, (new Slot(0, 0, $l->levels, $l->arm))->text(), $l->reason,
            ), $progress->leftOut),
            $next === null ? null : $slots[$next->number - 1],
            $article?->id()->toRfc4122(), $article?->serial() ?? '',
        );
    }

    /**
     * @param list<Article> $articles that are here
     * @param list<string>  $used     articles of the runs of the trial, in their order
     */
    public static function searching(SettingSearch $search, array $articles, array $used): self
    {
        $slots = array_map(
            static fn (SettingTried $t): SlotRow => SlotRow::trying(
                $t->number, PlanWords::stands($t), $t->run, $t->result === null ? null : RunOutcome::Held,
            ),
            $search->tried,
        );
        $value = $search->next?->reason === NextReason::Good ? null : $search->next?->value;
        $text = $value === null ? '' : Numbers::set($value, $search->rule->unit);
        $article = $value === null ? null : self::article('', $articles, $used);
        $numbers = array_map(static fn (SettingTried $t): int => $t->number, $search->tried);

        return new self(
            PlanWords::search($search), $slots, [],
            $value === null ? null : SlotRow::trying(max([0, ...$numbers]) + 1, $search->rule->name.' '.$text, null, null),
            $article?->id()->toRfc4122(), $article?->serial() ?? '', $value === null ? null : new Found($search->rule->name, $text),
            $search->isUsedUp() ? PlanWords::widen($search->rule) : '',
        );
    }

    /**
     * Of a variant the one that was used least, so that wear is shared; without variants the one that was used last.
     *
     * @param list<Article> $articles
     * @param list<string>  $used
     */
    private static function article(string $arm, array $articles, array $used): ?Article
    {
        $here = [];
        foreach ($articles as $article) {
            if ($arm === '' || $article->arm() === $arm) {
                $here[$article->id()->toRfc4122()] = $article;
            }
        }
        if ($arm === '') {
            $last = array_values(array_filter(array_reverse($used), static fn (string $id): bool => isset($here[$id])))[0] ?? null;

            return $last === null ? array_pop($here) : $here[$last];
        }
        $times = array_count_values($used);
        uksort($here, static fn (string $a, string $b): int => ($times[$a] ?? 0) <=> ($times[$b] ?? 0));

        return array_values($here)[0] ?? null;
    }

    /**
     * @param array<string, string> $levels
     *
     * @return list<Found>
     */
    public static function found(array $levels): array
    {
        return array_map(static fn (string $name, string $text): Found => new Found($name, $text), array_keys($levels), $levels);
    }
}
