<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Workings;

use Lustrum\Core\CoreException;
use Lustrum\Core\Quantity\Quantity;
use Lustrum\Core\Wording\WorkingWords;
use Lustrum\Core\Working\Forecast;
use Lustrum\Domain\Trial\Reading;
use Lustrum\Domain\Trial\Run;
use Lustrum\Domain\Working\KeptWorking;
use Lustrum\Record\Records;

/** How worked forecasts came out. */
final readonly class Scores
{
    public function __construct(
        private Records $records,
    ) {
    }

    /**
     * @param list<KeptWorking> $workings
     *
     * @return array<string, Score> of those that forecast a run, by identifier
     */
    public function of(array $workings): array
    {
        $runs = array_values(array_filter(array_map(static fn (KeptWorking $w): ?Run => $w->run(), $workings)));
        $readings = [];
        foreach ($runs === [] ? [] : $this->records->all(Reading::class, ['run' => $runs]) as $reading) {
            $readings[$reading->run()->id()->toRfc4122()][] = $reading;
        }
        $out = [];
        foreach ($workings as $working) {
            $run = $working->run();
            if ($run !== null) {
                $out[$working->id()->toRfc4122()] = self::one($working, $run, $readings[$run->id()->toRfc4122()] ?? []);
            }
        }

        return $out;
    }

    /**
     * @param list<Reading> $readings of the run
     *
     * @return list<WorkedBefore> what was worked out before a run, by channel
     */
    public function before(Run $run, array $readings): array
    {
        return array_map(static function (KeptWorking $working) use ($run, $readings): WorkedBefore {
            $view = $working->view();

            return new WorkedBefore(
                $view->id, $view->title, $view->channel, $working->kept()->text ?? '', self::one($working, $run, $readings)->came,
            );
        }, $this->records->all(KeptWorking::class, ['run' => $run]));
    }

    /** @param list<Reading> $readings of the run */
    private static function one(KeptWorking $working, Run $run, array $readings): Score
    {
        $words = WorkingWords::run($run->trial()->name(), $run->number());
        $channel = $working->view()->channel;
        $kept = $working->kept();
        if ($kept === null) {
            return new Score($words, '', null);
        }
        foreach ($readings as $reading) {
            $view = $reading->view();
            if ($reading->channel() !== $channel || $view->bound !== '' || $view->undecided) {
                continue;
            }
            try {
                $read = Quantity::of($view->current->value, $view->current->unit)->to($kept->unit)->value;
            } catch (CoreException) {
                continue;
            }
            $forecast = Forecast::of($kept->value, $kept->u, $kept->unit, $read);

            // As it was typed; a plain number is written without its unit.
            $asTyped = $view->current->unit === $kept->unit && WorkingWords::unit($kept->unit) !== '';

            return new Score($words, WorkingWords::scored($forecast, $asTyped ? $view->current->text : ''), $forecast->isInside);
        }

        return new Score($words, '', null);
    }
}
