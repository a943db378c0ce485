<?php

declare(strict_types=1);

namespace Lustrum\Core\Run;

/**
 * What a rig reads by itself, before and after: the middle of both is taken off, and half of what lies between them is
 * how far off that may be anywhere in between (a rectangular distribution, GUM 4.3.7), beside the step of the display.
 */
final class EmptyRun
{
    private const SUFFIX = '_empty';

    /** As formulas name what a channel read without anything on the rig. */
    public static function key(string $channel): string
    {
        return $channel.self::SUFFIX;
    }

    /** Does a formula of these channels take anything off? */
    public static function isTakenOff(Channel ...$channels): bool
    {
        foreach ($channels as $channel) {
            if ($channel->isDerived() && str_contains($channel->formula, self::SUFFIX)) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param float      $before in the unit of the channel
     * @param float|null $after  null: there was none yet
     * @param float      $step   of the display
     */
    public static function constant(Channel $channel, float $before, ?float $after, float $step): Constant
    {
        $half = $after === null ? 0.0 : abs($after - $before) / 2;

        return new Constant(
            self::key($channel->key), self::key($channel->key), ($before + ($after ?? $before)) / 2, $channel->unit,
            sqrt($half ** 2 / 3 + $step ** 2 / 12),
        );
    }
}
