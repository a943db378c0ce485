<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Methods;

use Lustrum\Core\CoreException;
use Lustrum\Core\Judging\MethodSpread;
use Lustrum\Core\Run\Channel;
use Lustrum\Core\Statistics\Planning;
use Lustrum\Core\Wording\MethodSheetWords;
use Lustrum\Core\Wording\Numbers;
use Lustrum\Domain\Method\Method;
use Lustrum\Facts\Books;

/**
 * The least runs under two editions of a method, pair by pair on the same articles, that would tie their results: enough
 * to see a shift as large as the difference that is looked for, four times out of five.
 */
final readonly class Tying
{
    private const POWER = 0.8;

    public function __construct(
        private Books $books,
    ) {
    }

    /** What the difference that a channel looks for takes, by how far its repeats spread; empty: one of both is not known. */
    public static function takes(Channel $channel, ?MethodSpread $spread, float $confidence): string
    {
        if ($spread === null || $channel->difference === null || $channel->difference <= 0.0) {
            return '';
        }
        try {
            $n = Planning::perArm($spread->sd($channel->unit), $channel->difference, self::POWER, $confidence, false);
        } catch (CoreException) {
            return '';
        }

        return MethodSheetWords::takesToFind($n, Numbers::set($channel->difference, $channel->unit));
    }

    /** @return array{int, string} how many, and the shift that fewer would miss; empty where nobody said which difference is looked for */
    public function of(Method $method): array
    {
        $least = [MethodSheetWords::TYING, ''];
        $channels = array_filter($method->channels(), static fn (Channel $c): bool => $c->difference !== null && $c->difference > 0.0);
        $book = $channels === [] ? null : $this->books->open($method->device());
        foreach ($channels as $channel) {
            $spread = MethodSpread::together($book?->repeats($method->name(), null, $channel->metric) ?? [], MethodSpread::TO_PLAN);
            if ($spread === null) {
                continue;
            }
            $difference = (float) $channel->difference;
            try {
                $n = Planning::pairs(
                    $spread->sd($channel->unit), $difference, self::POWER, $method->device()->view()->confidence,
                );
            } catch (CoreException) {
                continue;
            }
            $least = $n > $least[0] ? [$n, Numbers::set($difference, $channel->unit)] : $least;
        }

        return $least;
    }
}
