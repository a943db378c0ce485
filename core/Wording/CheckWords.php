<?php

declare(strict_types=1);

namespace Lustrum\Core\Wording;

use Lustrum\Core\Check\FitCheck;
use Lustrum\Core\Check\Implied;
use Lustrum\Core\Check\Rehearsal;
use Lustrum\Core\Check\RelationSeen;
use Lustrum\Core\Check\Share;
use Lustrum\Core\Judging\Figure;
use Lustrum\Core\Quantity\Digits;

/** What numbers say of each other, of instruments and of rehearsals, in words. */
final class CheckWords
{
    private const DIGITS = 3;

    public static function fit(FitCheck $check): string
    {
        $isShare = $check->what === 'lag';

        return Messages::say('check.'.$check->what, [
            'known' => $check->value !== null, 'fit' => $check->fit === true,
            'value' => $isShare ? Numbers::percent($check->value ?? 0.0) : Digits::short(round($check->value ?? 0.0, 1)),
            'needed' => $isShare ? Numbers::percent($check->needed) : Digits::short($check->needed),
        ]);
    }

    /** What a rehearsal leaves out; every share worked out. */
    public static function rehearsal(Rehearsal $rehearsal): string
    {
        $carried = self::shares(array_filter($rehearsal->shares, static fn (Share $s): bool => $s->share !== null));

        return Messages::begin(Messages::say('check.rehearsal', [
            'any' => $carried !== [], 'carried' => Messages::list($carried), 'gaps' => $rehearsal->missing !== [],
            'missing' => Messages::list(array_map(self::spoken(...), $rehearsal->missing)),
        ]));
    }

    /**
     * What the trials on a build carry of a use at the most: what is short of it, and what nothing carries.
     *
     * @param non-empty-list<Rehearsal> $some one for each method
     */
    public static function atMost(array $some, string $build): string
    {
        $most = Rehearsal::atMost($some);
        $short = self::shares(array_filter($most->shares, static fn (Share $s): bool => $s->share !== null && $s->lacking > 0.0));

        return Messages::say('check.atMost', [
            'full' => $most->isFull(), 'one' => array_filter($some, static fn (Rehearsal $r): bool => $r->isFull()) !== [],
            'build' => $build,
            'any' => $short !== [], 'carried' => Messages::list($short), 'gaps' => $most->missing !== [],
            'missing' => Messages::list(array_map(self::spoken(...), $most->missing)),
        ]);
    }

    /**
     * @param array<Share> $shares
     *
     * @return list<string>
     */
    private static function shares(array $shares): array
    {
        return array_map(static fn (Share $s): string => Messages::say('check.share', [
            'what' => self::spoken($s->what), 'percent' => Numbers::percent($s->share ?? 0.0), 'short' => $s->lacking > 0.0,
            'lacking' => Numbers::withUnit(Digits::plain($s->lacking, self::DIGITS), $s->unit),
        ]), array_values($shares));
    }

    /** The same of a result: which use it is a part of. */
    public static function rehearsed(string $use, string $said): string
    {
        return Messages::say('check.rehearsed', ['use' => $use, 'said' => lcfirst($said)]);
    }

    /** Which readings of a run contradict each other, with the value that each pair implies. */
    public static function contradiction(RelationSeen $relation, string $doubted = '', ?Figure $before = null): string
    {
        $implied = array_map(static fn (Implied $i): string => Messages::say('check.implied', [
            'what' => self::spoken($i->what), 'value' => Numbers::withUnit(Digits::plain($i->value, self::DIGITS), $i->unit),
            'from' => Messages::list(array_map(self::spoken(...), $i->from)),
        ]), $relation->implied);

        return Messages::begin(Messages::say('check.contradiction', [
            'what' => Messages::list(array_map(static fn (Implied $i): string => self::spoken($i->what), $relation->implied)),
            'implied' => implode('; ', $implied), 'why' => $doubted === '' ? 'none' : ($before === null ? 'always' : 'before'),
            'doubted' => self::spoken($doubted),
            'before' => $before === null ? '' : Numbers::amount($before->value, $before->decimals, $before->unit),
            'z' => Digits::plain(abs($relation->z ?? 0.0), 2),
        ]));
    }

    /** 'rimSpeed' as people say it. */
    public static function spoken(string $what): string
    {
        return mb_strtolower(trim((string) preg_replace('/(?<=\p{Ll})(?=\p{Lu})/u', ' ', $what)));
    }
}
