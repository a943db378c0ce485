<?php

declare(strict_types=1);

namespace Lustrum\Action\Read;

use Doctrine\DBAL\Connection;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Quantity\SlipCheck;
use Lustrum\Core\Run\Channel;
use Lustrum\Core\Run\Purpose;
use Lustrum\Core\Run\Row;
use Lustrum\Core\Wording\ReadingWords;
use Lustrum\Domain\Trial\Run;
use Lustrum\Domain\Trial\Said;
use Lustrum\Shared\AskedBack;
use Lustrum\Shared\Refusal\AsksBack;

/** Looks at a reading before it is kept: is it plausible, and is it a slip of unit or point? */
final readonly class ReadingCheck
{
    private const LOOK_BACK = 60;

    public function __construct(
        private Connection $db,
    ) {
    }

    /** @throws AsksBack */
    public function mustBePlausible(Run $run, Channel $channel, Said $said): void
    {
        $questions = $this->questions($run, $channel, $said);
        if ($questions !== []) {
            throw AsksBack::about($questions[0]->sentence, $questions);
        }
    }

    /**
     * @param Said $said that fits the channel
     *
     * @return list<AskedBack> empty where nothing is odd
     */
    public function questions(Run $run, Channel $channel, Said $said): array
    {
        $typed = $said->quantity;
        if ($said->undecided) {
            return [];
        }
        $shown = $typed->to($channel->unit);
        $questions = [];
        $slip = SlipCheck::check($shown, $this->earlier($run, $channel));
        if ($slip->suspect && $slip->corrected !== null) {
            $questions[] = new AskedBack('slip', $slip->reason, ReadingWords::corrected($slip->corrected, $typed, $channel->unit));
        }
        foreach ([[$channel->low, false], [$channel->high, true]] as [$limit, $upper]) {
            if ($limit !== null && ($upper ? $shown->value > $limit : $shown->value < $limit)) {
                $questions[] = new AskedBack('limits', ReadingWords::beyond($shown->value, $typed, $channel->unit, $limit, $upper), null);
            }
        }

        return $questions;
    }

    /**
     * The last readings of this channel with this method, in its unit: of the same article at the same levels where there are
     * enough of them to judge by, else of the same levels, else all.
     *
     * @return list<float>
     */
    private function earlier(Run $run, Channel $channel): array
    {
        $rows = $this->db->fetchAllNumeric(
            'SELECT g.current_si, CASE WHEN r.levels = o.levels AND r.article_id IS NOT DISTINCT FROM o.article_id THEN 2
                WHEN r.levels = o.levels THEN 1 ELSE 0 END alike
             FROM reading g JOIN run r ON r.id = g.run_id JOIN trial t ON t.id = r.trial_id JOIN run o ON o.id = :run
             WHERE t.method_id = :method AND g.channel = :channel AND r.id <> :run AND (r.purpose = :empty) = (o.purpose = :empty)
               AND g.withdrawn_because IS NULL AND NOT g.undecided
             ORDER BY alike DESC, (t.id = :trial) DESC, g.created_at DESC LIMIT '.self::LOOK_BACK,
            [
                'method' => $run->trial()->method()->id()->toRfc4122(), 'channel' => $channel->key,
                'empty' => Purpose::Empty->value, 'run' => $run->id()->toRfc4122(), 'trial' => $run->trial()->id()->toRfc4122(),
            ],
        );
        $unit = Quantity::of(0, $channel->unit)->unit;
        foreach ([2, 1, 0] as $least) {
            $alike = array_values(array_filter($rows, static fn (array $row): bool => (int) Row::number($row[1]) >= $least));
            if (count($alike) >= SlipCheck::LEAST || $least === 0) {
                break;
            }
        }

        return array_map(static fn (array $row): float => $unit->fromSi(Row::number($row[0])), $alike);
    }
}
