<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Find;

use Lustrum\Core\Judging\OutsideBound;
use Lustrum\Core\Judging\Standings;
use Lustrum\Core\Wording\FailureWords;
use Lustrum\Core\Wording\Messages;
use Lustrum\Domain\Decision\Candidate;
use Lustrum\Domain\Finding\Cause;
use Lustrum\Domain\Finding\Failure;
use Lustrum\Domain\Finding\FailureView;
use Lustrum\Facts\FailureFacts;
use Lustrum\Record\Records;

/** Failures with their causes, with what was proposed against them, and where they stand. */
final readonly class FailureRows
{
    public function __construct(
        private Records $records,
        private FailureFacts $facts,
    ) {
    }

    /**
     * @param list<Failure> $shown
     *
     * @return list<FailureRow>
     */
    public function of(array $shown, Standings $standings, float $confidence): array
    {
        if ($shown === []) {
            return [];
        }
        $views = array_map(static fn (Failure $f): FailureView => $f->view(), $shown);
        $runs = $this->facts->happenedOn(array_values(array_filter(array_map(static fn (FailureView $v): ?string => $v->run, $views))));
        $causes = $candidates = [];
        foreach ($this->records->all(Cause::class, ['failure' => $shown]) as $cause) {
            $view = $cause->view();
            $causes[$view->failure][] = $view;
        }
        $own = array_fill_keys(array_map(static fn (FailureView $v): string => $v->id, $views), true);
        foreach ($this->records->all(Candidate::class, ['belongsTo' => $shown[0]->belongsTo()]) as $candidate) {
            foreach ($candidate->failures() as $id) {
                if (isset($own[$id])) {
                    $candidates[$id][] = $candidate->what();
                }
            }
        }

        $rows = [];
        foreach ($views as $view) {
            $run = $runs[$view->run ?? ''] ?? null;
            $status = $standings->status($view->id);
            $label = $run === null ? null : Messages::say('failure.run', ['number' => $run['number'], 'trial' => $run['trial']]);
            $rows[] = new FailureRow(
                $view, $run['serial'] ?? '', $label, $causes[$view->id] ?? [], $status->standing, FailureWords::standing($status),
                $candidates[$view->id] ?? [], $standings->levels($view->id), array_map(
                    static fn (OutsideBound $b): string => FailureWords::outside($b, $confidence), $standings->outside($view->id),
                ), $status->byHand?->id,
            );
        }

        return $rows;
    }
}
