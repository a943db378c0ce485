<?php

declare(strict_types=1);

namespace Lustrum\Trial;

use Doctrine\DBAL\Connection;
use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Quantity\SlipCheck;
use Lustrum\Method\Channel;

/** Looks at a new reading before it is kept: is it plausible, and is it a slip of unit or point? */
final readonly class ReadingCheck
{
    private const LOOK_BACK = 60;

    public function __construct(
        private Connection $db,
    ) {
    }

    /**
     * @return list<Question> empty where nothing is odd
     *
     * @throws \Lustrum\Core\CoreException when the text is no quantity of the channel's dimension
     */
    public function questions(Run $run, Channel $channel, string $text): array
    {
        $typed = Quantity::typed($text);
        $shown = $typed->to($channel->unit);
        $questions = [];
        $slip = SlipCheck::check($shown, $this->earlier($run, $channel));
        if ($slip->suspect && $slip->corrected !== null) {
            $questions[] = new Question('slip', $slip->reason, Digits::plain($slip->corrected, max(3, $typed->significantDigits())).' '.$channel->unit);
        }
        foreach ([[$channel->low, -1, 'under the least'], [$channel->high, 1, 'over the greatest']] as [$limit, $side, $words]) {
            if ($limit !== null && $side * ($shown->value - $limit) > 0) {
                $questions[] = new Question('limits', sprintf('%s %s is %s value that the method holds plausible (%s %s).', Digits::plain($shown->value, max(3, $typed->significantDigits())), $channel->unit, $words, Digits::short($limit), $channel->unit), null);
            }
        }

        return $questions;
    }

    /** @return list<float> the last readings of this metric on this device, in the channel's unit */
    private function earlier(Run $run, Channel $channel): array
    {
        $rows = $this->db->fetchFirstColumn(
            'SELECT g.current_si FROM reading g JOIN run r ON r.id = g.run_id JOIN trial t ON t.id = r.trial_id
             WHERE t.method_id = :method AND g.channel = :channel AND r.id <> :run AND g.withdrawn_because IS NULL
             ORDER BY (t.id = :trial) DESC, g.created_at DESC LIMIT '.self::LOOK_BACK,
            ['method' => $run->trial()->method()->id()->toRfc4122(), 'channel' => $channel->key, 'run' => $run->id()->toRfc4122(), 'trial' => $run->trial()->id()->toRfc4122()],
        );
        $unit = Quantity::of(0, $channel->unit)->unit;

        return array_map(static fn (mixed $si): float => $unit->fromSi(is_numeric($si) ? (float) $si : 0.0), $rows);
    }
}
