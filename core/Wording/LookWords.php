<?php

declare(strict_types=1);

namespace Lustrum\Core\Wording;

use Lustrum\Core\Judging\Look;
use Lustrum\Core\Judging\Terms;

/** Sentences about how far trials have come, and how often they were looked at. */
final class LookWords
{
    /** Above this its decimals say nothing. */
    private const MOST = 0.999;

    /** Before a sentence that nothing may be told from yet: 'So far 4 of 6: '; else empty. */
    public static function soFar(Look $look): string
    {
        return !$look->isSoFar ? '' : Messages::say('look.soFar', [
            'ended' => $look->ended, 'planned' => $look->planned, 'known' => $look->planned > 0,
        ]).' ';
    }

    /**
     * @param bool $isSaid is what is so far said elsewhere?
     *
     * @return list<string> what the terms of a judgement add to it
     */
    public static function remarks(?Terms $terms, bool $isSaid = false): array
    {
        if ($terms === null) {
            return [];
        }
        $out = [];
        if ($terms->look->isSoFar && !$isSaid) {
            $out[] = Messages::say('look.before', [
                'ended' => $terms->look->ended, 'planned' => $terms->look->planned, 'known' => $terms->look->planned > 0,
            ]);
        }
        if ($terms->look->looks > 1) {
            $out[] = Messages::say('look.again', [
                'looks' => $terms->look->looks, 'most' => $terms->confidence() > self::MOST,
                'percent' => Numbers::set(round(100 * min(self::MOST, $terms->confidence()), 1), ''),
            ]);
        }
        if ($terms->isComputed) {
            $out[] = Messages::say('look.computed');
        }

        return $out;
    }
}
