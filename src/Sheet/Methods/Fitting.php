<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Methods;

use Lustrum\Account\Workspace;
use Lustrum\Core\Run\Channel;
use Lustrum\Core\Wording\MethodSheetWords;
use Lustrum\Domain\Method\Instrument;
use Lustrum\Domain\Method\Method;
use Lustrum\Record\Records;

/** Whether the instruments of the team fit what methods read with them. */
final readonly class Fitting
{
    public function __construct(
        private Records $records,
    ) {
    }

    /** @return list<Instrument> */
    public function instruments(Workspace $workspace): array
    {
        return $this->records->all(Instrument::class, ['workspace' => $workspace]);
    }

    /**
     * What is to be said against the instrument of a channel; empty where it fits, or nobody can say.
     *
     * @param list<Instrument> $instruments
     */
    public static function against(Channel $channel, array $instruments): string
    {
        foreach ($channel->isDerived() || $channel->instrument === '' ? [] : $instruments as $instrument) {
            if ($instrument->isCalled($channel->instrument)) {
                $fit = $instrument->fits($channel);

                return $fit === null
                    ? MethodSheetWords::otherUnit($instrument->name(), $instrument->view()->unit, $channel->unit)
                    : MethodSheetWords::unfit($instrument->name(), $fit);
            }
        }

        return '';
    }

    /**
     * @param list<Instrument> $instruments
     *
     * @return list<string> in sentences
     */
    public static function ofMethod(Method $method, array $instruments): array
    {
        return array_values(array_filter(array_map(
            static fn (Channel $c): string => self::against($c, $instruments), $method->channels(),
        ), static fn (string $s): bool => $s !== ''));
    }
}
