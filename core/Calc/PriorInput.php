<?php

declare(strict_types=1);

namespace Lustrum\Core\Calc;

use Lustrum\Core\Alike\Per;
use Lustrum\Core\Alike\Scale;
use Lustrum\Core\InvalidInput;
use Lustrum\Core\Statistics\KnownSpread;
use Lustrum\Core\Statistics\Repeats;

/** `prior` and `resolution`, which several operations take: what is known of repeats before. */
final class PriorInput
{
    public const SHAPE = 'sd, df (4 at least), scale (add or ratio), of (run or article): how repeats spread before';

    /** @throws InvalidInput */
    public static function read(Input $in): Repeats
    {
        $resolution = $in->numberOrNull('resolution');
        if ($resolution !== null && $resolution <= 0) {
            throw InvalidInput::because('A step lies above nought.', $in->at('resolution'));
        }

        return new Repeats($in->has('prior') ? [self::prior($in->object('prior'))] : [], $resolution ?? 0.0);
    }

    private static function prior(Input $in): KnownSpread
    {
        $in->only(['sd', 'df', 'scale', 'of']);
        $of = $in->one('of', Per::class, Per::Run);
        if ($of === Per::Block) {
            throw InvalidInput::because('A spread is known of runs or of articles.', $in->at('of'));
        }

        return KnownSpread::of(
            $in->number('sd'), $in->number('df'), $in->one('scale', Scale::class, Scale::Add) === Scale::Ratio, $of === Per::Article,
        );
    }

    /**
     * Whether it was used is said only where there is something to be used.
     *
     * @param array<string, mixed> $answer
     *
     * @return array<string, mixed>
     */
    public static function said(array $answer): array
    {
        return ($answer['known'] ?? null) === null ? array_diff_key($answer, ['known' => true]) : $answer;
    }
}
