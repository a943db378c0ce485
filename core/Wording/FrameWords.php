<?php

declare(strict_types=1);

namespace Lustrum\Core\Wording;

use Lustrum\Core\Quantity\Digits;

/** Sentences of the frame and the list of devices. */
final class FrameWords
{
    public static function device(int $builds, int $runs, string $letter): string
    {
        return Messages::say('frame.device', ['builds' => $builds, 'runs' => $runs, 'letter' => $letter]);
    }

    /** @param 'try'|'find'|'next' $station where something waits */
    public static function waits(string $station, int $n): string
    {
        return Messages::say('frame.waits', ['station' => $station, 'n' => $n]);
    }

    /**
     * @param int          $every      requirements that speak of every article
     * @param list<string> $unmeasured metrics that no method measures, a few
     */
    public static function brief(int $requirements, int $musts, int $every, array $unmeasured, bool $drawn = false): string
    {
        return Messages::say('frame.brief', [
            'n' => $requirements, 'musts' => $musts, 'every' => $every,
            'unmeasured' => $unmeasured !== [], 'drawn' => $drawn, 'metrics' => Messages::list($unmeasured, 'list.or'),
        ]);
    }

    /** What a team set for a device as a whole, on one line. */
    public static function limits(string $gates, float $confidence, ?string $cost, string $currency, ?float $hours, ?int $changes): string
    {
        return Messages::say('frame.limits', [
            'gates' => $gates, 'percent' => Digits::short(round(100 * $confidence, 1)), 'costs' => $cost !== null, 'cost' => $cost ?? '',
            'currency' => $currency, 'takes' => $hours !== null, 'hours' => Digits::short($hours ?? 0.0), 'few' => $changes !== null,
            'changes' => $changes ?? 0,
        ]);
    }

    /** @param int $writers of the people */
    public static function people(string $workspace, int $people, int $writers): string
    {
        return Messages::say('frame.people', ['workspace' => $workspace, 'n' => $people, 'writers' => $writers]);
    }

    /** What the tag of a build says before anything was tried on it. */
    public static function building(): string
    {
        return Messages::say('frame.building');
    }
}
