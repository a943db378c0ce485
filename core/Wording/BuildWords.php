<?php

declare(strict_types=1);

namespace Lustrum\Core\Wording;

use Lustrum\Core\Judging\Difference;
use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Run\Deviation;
use Lustrum\Core\Run\Filled;
use Lustrum\Core\Run\Step;

/** Sentences about a build: how it differs from its parent, and what its articles have been through. */
final class BuildWords
{
    /**
     * @param string|null $parent     letter; null for a first build
     * @param int         $unjudged   changes that nobody has looked at
     * @param string|null $difference of the parts' cost to the parent's, as decimal text; null where there is no parent
     */
    public static function sentence(
        string $letter, ?string $parent, int $changes, int $unjudged, int $open, int $articles, ?string $difference, string $currency,
        string $arms = '',
    ): string {
        if ($parent === null) {
            return trim(Messages::say($arms === '' ? 'build.first' : 'build.firstOfArms', ['letter' => $letter]).' '.$arms);
        }
        if ($changes === 0 && $arms !== '') {
            return Messages::say('build.armsAlone', ['letter' => $letter, 'parent' => $parent]).' '.$arms;
        }
        $costs = $difference !== null && (float) $difference !== 0.0;

        return Messages::say('build.sentence', [
            'letter' => $letter, 'parent' => $parent, 'n' => $changes,
            'looked' => match (true) {
                $changes === 0 => 'none',
                $unjudged + $open === 0 => 'all',
                $unjudged === 0 => 'open',
                $unjudged === $changes => 'nobody',
                default => 'some',
            },
            'unjudged' => $unjudged, 'open' => $open, 'costs' => $costs, 'currency' => $currency,
            'less' => $costs && (float) $difference < 0,
            'amount' => $costs ? ltrim((string) $difference, '-') : '', 'articles' => $articles,
        ]).($arms === '' ? '' : ' '.$arms);
    }

    /**
     * How far the arms of a build have come.
     *
     * @param int    $lost arms of which an article was lost in handling
     * @param int    $out  that were taken out before they were tried
     * @param string $chosen empty: none yet
     */
    public static function arms(int $arms, int $made, int $tried, int $lost, int $out, string $chosen): string
    {
        return $arms === 0 ? '' : Messages::say('build.arms', [
            'n' => $arms, 'made' => $made, 'tried' => $tried, 'lost' => $lost, 'out' => $out, 'isChosen' => $chosen !== '',
            'chosen' => $chosen,
        ]);
    }

    /** What was changed at one step. */
    public static function step(Step $step): string
    {
        $of = $step->new === [] ? $step->all : $step->new;

        return Messages::begin(Messages::list(array_map(static fn (Deviation $d): string => $d->name.' '.$d->value, $of)));
    }

    /** Asked of what was changed after a failure. */
    public static function answers(string $mode, int $run): string
    {
        return Messages::say('build.answers', ['mode' => trim($mode), 'run' => $run]);
    }

    /**
     * Why a parameter is what it is: by the variant that was chosen.
     *
     * @param string $written what was written down of it; empty: nothing
     */
    public static function chosen(string $variant, string $written): string
    {
        return Messages::say('build.chosen', ['variant' => $variant, 'known' => $written !== '', 'written' => $written]);
    }

    /** What all parts cost more or less than the parent's; empty where there is no parent. */
    public static function costAgainst(?string $difference, ?string $parent): string
    {
        return $difference === null ? '' : Messages::say('build.costAgainst', [
            'amount' => Numbers::signed((float) $difference, ltrim($difference, '-'), ''), 'parent' => $parent ?? '',
        ]);
    }

    /** @param string $why as a sentence */
    public static function followsNoMore(string $why): string
    {
        return Messages::say('build.followsNoMore', ['why' => rtrim($why, '.')]);
    }

    /** What a run was made with was not frozen whole when it began. */
    public static function filled(Filled $filled): string
    {
        return Messages::say('build.filled', ['filled' => $filled->value]);
    }

    public static function arm(int $planned, int $made, int $tried, int $lost, string $eliminated): string
    {
        return Messages::say('build.arm', [
            'planned' => $planned, 'made' => $made, 'tried' => $tried, 'lost' => $lost, 'out' => $eliminated !== '',
            'why' => rtrim($eliminated, '. '),
        ]);
    }

    /** A difference from the parent that no change record explains. */
    public static function unexplained(Difference $d): string
    {
        return Messages::say('build.unexplained', ['what' => Messages::begin(EvidenceWords::difference($d))]);
    }

    /** A change record that nothing in the build shows. */
    public static function unseen(string $what): string
    {
        return Messages::say('build.unseen', ['what' => $what]);
    }

    public static function past(int $runs, int $failures, int $lost): string
    {
        return Messages::say(
            'build.past', ['runs' => $runs, 'failures' => $failures, 'lost' => $lost > 0, 'fresh' => $runs === 0 && $lost === 0],
        );
    }

    /** What an article is asked that is otherwise, in words, in something that was changed. */
    public static function unclear(string $serial, string $name, string $said, string $letter, string $parent): string
    {
        return Messages::say('build.unclear', [
            'serial' => $serial, 'name' => $name, 'any' => $said !== '', 'said' => $said, 'letter' => $letter, 'parent' => $parent,
        ]);
    }

    /** A difference of a parameter from the parent's, with its sign and unit. */
    public static function difference(float $difference, int $decimals, string $unit): string
    {
        return Numbers::signed($difference, Digits::decimals(abs($difference), $decimals), $unit);
    }

    /** The same in per cent of the parent's value, to two digits. */
    public static function percent(float $percent): string
    {
        return Numbers::signed($percent, Digits::plain(abs($percent), 2), '%');
    }

    /** @param array{material: ?string, quantity: ?float, cost: ?string} $was what differs from the parent's part, null where it does not */
    public static function part(array $was): string
    {
        $out = [];
        if ($was['material'] !== null) {
            $out[] = Messages::say('build.material', ['named' => $was['material'] !== '', 'material' => $was['material']]);
        }
        if ($was['quantity'] !== null) {
            $out[] = Messages::say('build.quantity', ['quantity' => Digits::plain($was['quantity'], 4)]);
        }
        if ($was['cost'] !== null) {
            $out[] = Messages::say('build.cost', ['cost' => $was['cost']]);
        }

        return implode(', ', $out);
    }

    /** What a build is for that was gathered from changes between runs. */
    public static function gathered(string $serial): string
    {
        return Messages::say('build.gathered', ['serial' => $serial]);
    }

    public static function changedTo(string $name, string $value, string $was): string
    {
        return Messages::begin(Messages::say('build.changedTo', [
            'name' => $name, 'value' => $value, 'known' => $was !== '', 'was' => $was,
        ]));
    }

    /** @param string $was of the build; empty: it has none */
    public static function typedFirmware(string $typed, string $letter, string $was): string
    {
        return Messages::say('build.typedFirmware', ['typed' => $typed, 'letter' => $letter, 'was' => $was, 'known' => $was !== '']);
    }
}
