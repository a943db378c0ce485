<?php

declare(strict_types=1);

namespace Lustrum\Core\Wording;

use Lustrum\Core\Plan\Layout;
use Lustrum\Core\Plan\Minutes;
use Lustrum\Core\Plan\Order;
use Lustrum\Core\Plan\PlanKind;
use Lustrum\Core\Plan\Progress;
use Lustrum\Core\Plan\Ready;
use Lustrum\Core\Plan\SettingSearch;
use Lustrum\Core\Plan\SettingTried;
use Lustrum\Core\Plan\Slot;
use Lustrum\Core\Plan\SlotSeen;
use Lustrum\Core\Plan\Together;
use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Run\SettingRule;

/** What a plan takes, finds and costs, and how far it came. */
final class PlanWords
{
    private const DIGITS = 2;

    /** @param list<Slot> $slots */
    public static function takes(array $slots, Minutes $minutes, int $leftOut): string
    {
        return Messages::say('plan.takes', [
            'n' => count($slots),
            'time' => MethodSheetWords::time($minutes->of(array_map(static fn (Slot $s): string => $s->text(), $slots))),
            'left' => $leftOut,
        ]);
    }

    /**
     * The smallest difference that it finds four times out of five.
     *
     * @param float|null $byOne what one run a side would find; null: nothing
     * @param float      $doubt of the scatter itself, as a share of it
     */
    public static function finds(
        string $metric, float $difference, string $unit, int $perSide, ?float $byOne, float $doubt,
    ): string {
        $said = static fn (float $d): string => Numbers::withUnit(Digits::plain($d, self::DIGITS), Numbers::differenceUnit($unit));

        return Messages::say('plan.finds', [
            'metric' => $metric,
            'difference' => $said($difference), 'n' => $perSide, 'one' => $byOne !== null && $perSide > 1,
            'byOne' => $byOne === null ? '' : $said($byOne), 'doubt' => Digits::plain(100 * $doubt, 1),
        ]);
    }

    public static function findsNothing(string $metric, int $perSide): string
    {
        return Messages::say('plan.findsNothing', ['metric' => $metric, 'n' => $perSide]);
    }

    /** All of one side holding says so much and no more. */
    public static function proves(string $metric, int $perSide, float $mayFail): string
    {
        return Messages::say('plan.proves', ['metric' => $metric, 'n' => $perSide, 'percent' => Numbers::percent($mayFail)]);
    }

    /** @return list<string> which schools it follows, and what that costs */
    public static function costs(Layout $layout, bool $wears, int $changes): array
    {
        $said = array_keys(array_filter([
            'oneShot' => $layout->repeats === 1 && !in_array($layout->kind, [PlanKind::Free, PlanKind::Staircase], true),
            'asGiven' => $layout->kind->isShuffled() && $layout->order === Order::AsGiven,
            'shuffled' => $layout->kind->isShuffled() && $layout->order === Order::Random && $changes > 1,
            'blocks' => $layout->order === Order::Blocks && $layout->repeats > 1,
            'climbing' => $layout->kind === PlanKind::Ladder && $wears,
            'staircase' => $layout->kind === PlanKind::Staircase,
        ]));

        return array_map(static fn (string $what): string => Messages::say('plan.'.$what, ['changes' => $changes]), $said);
    }

    /** @param list<string> $arms of which there is only one article */
    public static function together(array $arms): string
    {
        return $arms === [] ? '' : Messages::say('plan.together', ['arms' => Messages::list($arms), 'n' => count($arms)]);
    }

    /** What the runs of it use up. */
    public static function usesUp(string $text): string
    {
        return Messages::say('plan.usesUp', ['text' => $text]);
    }

    /** A setting that is being found: how far it came, and what to try next, with the reason. */
    public static function search(SettingSearch $search): string
    {
        $rule = $search->rule;
        $set = static fn (?float $v): string => $v === null ? '' : Numbers::set($v, $rule->unit);

        return Messages::say('plan.search', [
            'name' => $rule->name, 'n' => count($search->tried), 'reason' => $search->next->reason->value ?? 'contradict',
            'value' => $set($search->next?->value), 'from' => $set($rule->low), 'to' => $set($rule->high),
            'low' => $set($search->next?->low), 'high' => $set($search->next?->high),
            'bracketed' => $search->next?->low !== null && $search->next->high !== null,
        ]);
    }

    /** What a range that is used up asks for. */
    public static function widen(SettingRule $rule): string
    {
        return Messages::say('plan.widen', [
            'name' => $rule->name, 'from' => Digits::short($rule->low ?? 0.0),
            'to' => Numbers::set($rule->high ?? 0.0, $rule->unit),
        ]);
    }

    /** Where a setting stood on a run. */
    public static function stands(SettingTried $tried): string
    {
        return Messages::say('plan.stands', [
            'known' => $tried->text !== '', 'text' => $tried->text, 'stands' => $tried->result->value ?? 'unsaid',
            'number' => $tried->number,
        ]);
    }

    public static function progress(Progress $progress, Minutes $minutes): string
    {
        $left = array_map(static fn (Slot $s): string => $s->text(), $progress->left());

        return Messages::say('plan.progress', [
            'tried' => $progress->tried(), 'planned' => count($progress->slots), 'lost' => $progress->lost(),
            'aside' => $progress->aside(),
            'out' => count($progress->leftOut),
            'beside' => count($progress->beside), 'left' => count($left), 'time' => MethodSheetWords::time($minutes->of($left)),
        ]);
    }

    /** Where a run stands in the plan: which cell, which of its runs, which of all. Empty where the plan does not have it. */
    public static function position(Progress $progress, string $run): string
    {
        foreach ($progress->slots as $i => $seen) {
            if ($seen->made?->run !== $run) {
                continue;
            }
            $here = $seen->slot->text();
            $alike = array_filter($progress->slots, static fn (SlotSeen $s): bool => $s->slot->text() === $here);
            $before = array_filter(array_slice($progress->slots, 0, $i + 1), static fn (SlotSeen $s): bool => $s->slot->text() === $here);

            return Messages::say('plan.position', [
                'cell' => $here, 'any' => $here !== '', 'k' => count($before), 'n' => count($alike), 'i' => $i + 1,
                'all' => count($progress->slots),
            ]);
        }

        return '';
    }

    /** What can be tried now, and what waits for it. */
    public static function ready(Ready $ready): string
    {
        return Messages::say('plan.ready', [
            'name' => $ready->name, 'next' => $ready->next, 'any' => $ready->next !== '', 'left' => $ready->left, 'must' => $ready->isMust,
            'failed' => $ready->modes !== [], 'modes' => Messages::list($ready->modes), 'many' => count($ready->modes) > 1,
        ]);
    }

    /** What is called out when the planned time of a run is over. */
    public static function over(): string
    {
        return Messages::say('plan.over', []);
    }

    /** What the rest of a trial is called. */
    public static function rest(string $name): string
    {
        return Messages::say('plan.rest', ['name' => $name]);
    }

    /** Why the rest of a plan leaves out what was done. */
    public static function doneIn(string $name): string
    {
        return Messages::say('plan.doneIn', ['name' => $name]);
    }

    /** @param array<string, string> $favourites by person */
    public static function favoured(array $favourites): string
    {
        return $favourites === [] ? '' : Messages::say('plan.favoured', ['who' => Messages::list(array_map(
            static fn (string $who, string $what): string => Messages::say('plan.favours', ['who' => $who, 'what' => $what]),
            array_map(strval(...), array_keys($favourites)), array_values($favourites),
        ))]);
    }

    /** Parameters that go together over all variants of a plan, and the variants that would tell them apart; empty: none do. */
    public static function entangled(Together $t): string
    {
        return $t->names === [] ? '' : Messages::say('plan.entangled', [
            'names' => Messages::list($t->names), 'n' => count($t->further),
            'further' => Messages::list(array_map(static fn (array $of): string => implode(' with ', array_map(
                static fn (string $name, string $value): string => trim($name.' '.$value), array_map(strval(...), array_keys($of)), $of,
            )), $t->further)),
        ]);
    }

    /** @param list<string> $what */
    public static function waits(array $what): string
    {
        return $what === [] ? '' : Messages::say('plan.waits', ['what' => Messages::list($what)]);
    }
}
