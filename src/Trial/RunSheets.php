<?php

declare(strict_types=1);

namespace Lustrum\Trial;

use Lustrum\Finding\Failure;
use Lustrum\Finding\FailureView;
use Lustrum\Finding\Observation;
use Lustrum\Finding\ObservationView;
use Lustrum\Finding\Photo;
use Lustrum\Finding\PhotoView;
use Lustrum\Record\Records;
use Lustrum\Weighing\Dossiers;

/** Works out the sheet of one run. */
final readonly class RunSheets
{
    public function __construct(
        private Records $records,
        private Dossiers $dossiers,
        private TrySheets $trials,
    ) {
    }

    public function of(Run $run): RunSheet
    {
        $trial = $run->trial();
        $dossier = $this->dossiers->open($trial->revision()->device());
        $failures = array_map(static fn (Failure $f): FailureView => $f->view(), $this->records->all(Failure::class, ['run' => $run]));
        $readings = $this->records->all(Reading::class, ['run' => $run]);
        $modes = $places = [];
        foreach ($dossier->failures as $failure) {
            $modes[] = $failure->mode();
            $places[] = $failure->view()->place;
        }

        return new RunSheet(
            self::sentence($run),
            Noticing::about($run, $dossier, $failures),
            $run->view(), $trial->view(), $trial->method()->view(), $run->article()?->view(), $trial->revision()->view(),
            array_map(static fn (Reading $r): ReadingView => $r->view(), $readings),
            Derivation::of($trial->method()->channels(), array_column(array_map(static fn (Reading $r): array => [$r->view()->channel, $r->current()], $readings), 1, 0)),
            array_map(static fn (Observation $o): ObservationView => $o->view(), $this->records->all(Observation::class, ['run' => $run])),
            $failures,
            array_map(static fn (Photo $p): PhotoView => $p->view(), $this->records->all(Photo::class, ['run' => $run])),
            self::known($modes), self::known($places),
            $this->trials->dots([$trial])[$trial->id()->toRfc4122()] ?? [],
        );
    }

    /**
     * @param list<string> $words
     *
     * @return list<string>
     */
    private static function known(array $words): array
    {
        $words = array_values(array_unique(array_filter($words, static fn (string $w): bool => $w !== '')));
        sort($words);

        return $words;
    }

    private static function sentence(Run $run): string
    {
        $view = $run->view();
        $unit = $run->article() === null ? '' : ' with '.$run->article()->serial();
        $start = sprintf('Run %d of %s, on build %s%s', $view->number, $run->trial()->name(), $run->trial()->revision()->letter(), $unit);

        return match ($view->outcome) {
            null => $start.': not finished.',
            RunOutcome::Held => $start.': held.',
            RunOutcome::Failed => $start.': failed, '.lcfirst(rtrim($view->outcomeReason, '.')).'.',
            RunOutcome::StoppedEarly => $start.': stopped early, so its value is a bound.',
            RunOutcome::Lost => $start.': lost in handling; it says nothing of the design.',
            RunOutcome::Void => $start.': void, '.lcfirst(rtrim($view->outcomeReason, '.')).'.',
        };
    }
}
