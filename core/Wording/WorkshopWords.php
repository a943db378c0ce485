<?php

declare(strict_types=1);

namespace Lustrum\Core\Wording;

use Lustrum\Core\Quantity\Digits;

/** Sentences about making, spending, files and what is there for now only. */
final class WorkshopWords
{
    /** Names of parts that a sentence has room for. */
    private const NAMED = 4;

    public static function making(): string
    {
        return Messages::say('workshop.making');
    }

    public static function makingPurpose(): string
    {
        return Messages::say('workshop.makingPurpose');
    }

    public static function makingStop(): string
    {
        return Messages::say('workshop.makingStop');
    }

    public static function right(): string
    {
        return Messages::say('workshop.right');
    }

    public static function notRight(): string
    {
        return Messages::say('workshop.notRight');
    }

    public static function asLogged(): string
    {
        return Messages::say('workshop.asLogged');
    }

    /** @param int $left rows that were left out */
    public static function pasted(int $added, int $changed, int $left, bool $kept): string
    {
        return Messages::say('workshop.pasted', ['kept' => $kept, 'added' => $added, 'changed' => $changed, 'left' => $left]);
    }

    /**
     * How an article was made.
     *
     * @param float|null $minutes null where a step has none
     * @param int        $wrong   steps in which something went wrong
     */
    public static function made(int $steps, ?float $minutes, int $wrong, int $scrap, bool $done): string
    {
        return Messages::say('workshop.made', [
            'n' => $steps, 'timed' => $minutes !== null, 'time' => self::time($minutes ?? 0.0), 'wrong' => $wrong,
            'scrap' => $scrap, 'done' => $done,
        ]);
    }

    public static function time(float $minutes): string
    {
        return $minutes < 90 ? Digits::short(round($minutes)).' min' : Digits::decimals($minutes / 60, 1).' h';
    }

    /**
     * What was spent beside what was planned.
     *
     * @param float|null $planned hours; null: nobody planned
     */
    public static function spent(float $hours, string $cost, string $currency, ?float $planned, ?string $plannedCost, int $running): string
    {
        return Messages::say('workshop.spent', [
            'hours' => Digits::short(round($hours, 1)), 'cost' => $cost, 'currency' => $currency, 'planned' => $planned !== null,
            'plannedHours' => Digits::short(round($planned ?? 0.0, 1)), 'plannedCost' => $plannedCost ?? '', 'running' => $running,
            'over' => $planned !== null && $hours > $planned,
        ]);
    }

    /**
     * What rests on something that is there for now only.
     *
     * @param list<string> $parts
     */
    public static function forNow(string $letter, array $parts): string
    {
        return $parts === [] ? '' : Messages::say('workshop.forNow', [
            'letter' => $letter, 'parts' => Messages::list(array_slice($parts, 0, self::NAMED)), 'n' => count($parts),
            'more' => max(0, count($parts) - self::NAMED),
        ]);
    }

    /** A fit that others rely on was changed. */
    public static function relied(string $what, string $by, string $checked): string
    {
        return Messages::say('workshop.relied', ['what' => $what, 'by' => $by, 'isChecked' => $checked !== '', 'checked' => $checked]);
    }

    /** A change is proposed to a fit that others rely on. */
    public static function wouldTouch(string $candidate, string $what, string $by): string
    {
        return Messages::say('workshop.wouldTouch', ['candidate' => $candidate, 'what' => $what, 'by' => $by]);
    }

    public static function fileChanged(string $name, string $parent): string
    {
        return Messages::say('workshop.fileChanged', ['name' => $name, 'parent' => $parent]);
    }

    /**
     * What a document claims, beside what is asked.
     *
     * @param string $limit of the requirement on the same; empty: there is none
     * @param bool|null $met null where the two cannot be compared
     * @param bool   $shown is it measured here?
     */
    public static function asserted(string $what, string $value, string $page, string $limit, ?bool $met, bool $shown): string
    {
        return Messages::say('workshop.asserted', [
            'what' => $what, 'value' => $value, 'page' => $page, 'asked' => $limit !== '', 'limit' => $limit,
            'met' => $met ?? 'unknown', 'shown' => $shown,
        ]);
    }

    /**
     * A part that came with the design that the device began with.
     *
     * @param list<string> $differs in what, since
     * @param list<string> $said    what was shown of it there
     */
    public static function takenOver(string $from, array $differs, array $said): string
    {
        return Messages::say('workshop.takenOver', [
            'from' => $from, 'differs' => $differs !== [], 'what' => implode(', ', $differs), 'known' => $said !== [],
            'said' => implode('; ', $said),
        ]);
    }

    /**
     * @param string       $shown how the build that is carried stands
     * @param list<string> $newer letters of builds that came after it
     */
    public static function module(string $shown, array $newer): string
    {
        return Messages::say('workshop.module', ['shown' => $shown, 'newer' => $newer !== [], 'letters' => Messages::list($newer)]);
    }

    public static function mass(float $grams): string
    {
        return $grams < 1000 ? Digits::short(round($grams, 1)).' g' : Digits::short(round($grams / 1000, 3)).' kg';
    }

    /** @param int $left parts that nobody weighed */
    public static function masses(float $grams, int $left, int $forNow): string
    {
        return Messages::say('workshop.masses', [
            'mass' => self::mass($grams), 'known' => $grams > 0, 'left' => $left, 'forNow' => $forNow,
        ]);
    }
}
