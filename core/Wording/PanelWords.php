<?php

declare(strict_types=1);

namespace Lustrum\Core\Wording;

use Lustrum\Core\Panel\Blind;
use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Statistics\Friedman;
use Lustrum\Core\Statistics\Interval;

/** Blind panels, in words. */
final class PanelWords
{
    /** Digits of a chance that stands in a sentence. */
    private const DIGITS = 2;

    public static function sentence(int $items, int $raters, int $done, bool $isUnblinded, int $late): string
    {
        return Messages::say('panel.sentence', [
            'items' => $items, 'raters' => $raters, 'done' => $done, 'all' => $items * $raters, 'unblinded' => $isUnblinded,
            'late' => $late,
        ]);
    }

    /**
     * @param list<string> $codes of which nothing came
     */
    public static function missing(string $rater, array $codes): string
    {
        return Messages::say('panel.missing', ['rater' => $rater, 'codes' => Messages::list($codes)]);
    }

    /** Whether raters order alike; the chance behind it is not said, since it would be read as one of a difference. */
    public static function agreement(string $metric, ?Friedman $friedman, float $confidence): string
    {
        $metric = Messages::begin($metric);
        if ($friedman === null) {
            return Messages::say('panel.noOrder', ['metric' => $metric]);
        }

        return Messages::say('panel.order', [
            'metric' => $metric, 'told' => $friedman->p < 1 - $confidence, 'w' => Digits::plain($friedman->w, self::DIGITS),
        ]);
    }

    public static function blind(Blind $blind, int $items): string
    {
        return Messages::say('panel.blind', [
            'right' => $blind->right, 'n' => $blind->guessed, 'items' => $items, 'held' => $blind->held, 'p' => self::chance($blind->p),
        ]);
    }

    /** @param Interval $share chance that the first is preferred; it is, where the whole of it says so */
    public static function preferred(string $first, string $second, Interval $share, int $n): string
    {
        return Messages::say('panel.preferred', [
            'first' => $first, 'second' => $second, 'percent' => Numbers::percent($share->estimate), 'n' => $n,
            'told' => $share->low > 0.5, 'low' => Numbers::percent((float) $share->low), 'high' => Numbers::percent((float) $share->high),
        ]);
    }

    public static function noPreference(string $why): string
    {
        return Messages::say('panel.noPreference', ['why' => $why]);
    }

    public static function underACode(string $code, bool $notBlind): string
    {
        return Messages::say($notBlind ? 'panel.underACodeNotBlind' : 'panel.underACode', ['code' => $code]);
    }

    /** @param non-empty-list<string> $raters who rated at a session of their own */
    public static function notBlind(array $raters): string
    {
        return Messages::say('panel.notBlind', ['raters' => Messages::list($raters), 'n' => count($raters)]);
    }

    public static function opened(string $by, string $because): string
    {
        return Messages::say('panel.opened', ['by' => $by, 'because' => rtrim($because, '.')]);
    }

    private static function chance(float $p): string
    {
        return $p < 0.001 ? '< 0.001' : Digits::plain($p, self::DIGITS);
    }
}
