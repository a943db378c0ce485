<?php

declare(strict_types=1);

namespace Lustrum\Sheet\Find;

use Lustrum\Core\Failure\FailureStatus;
use Lustrum\Core\Judging\FailureFact;
use Lustrum\Core\Judging\Failures;
use Lustrum\Core\Wording\FailureWords;
use Lustrum\Core\Wording\Messages;
use Lustrum\Domain\Decision\Candidate;
use Lustrum\Domain\Finding\Cause;
use Lustrum\Domain\Finding\CauseView;
use Lustrum\Domain\Finding\Failure;
use Lustrum\Domain\Trial\Run;
use Lustrum\Record\Records;

/** Failures with their causes, with what was proposed against them, and where they stand. */
final readonly class FailureRows
{
    public function __construct(
        private Records $records,
    ) {
    }

    /**
     * @param list<Failure> $shown
     *
     * @return list<FailureRow>
     */
    public function of(array $shown, Failures $failures): array
    {
        if ($shown === []) {
            return [];
        }
        $this->records->together(
            Run::class, ['t' => 'x.trial', 'm' => 't.method', 'a' => 'x.article'],
            array_map(static fn (Failure $f): ?Run => $f->run(), $shown),
        );
        $causes = $candidates = [];
        foreach ($this->records->all(Cause::class, ['failure' => $shown]) as $cause) {
            $view = $cause->view();
            $causes[$view->failure][] = $view;
        }
        foreach ($this->records->all(Candidate::class, ['failure' => $shown]) as $candidate) {
            $candidates[(string) $candidate->failure()?->id()->toRfc4122()][] = $candidate->what();
        }

        $known = [];
        $rows = [];
        foreach ($shown as $failure) {
            $fact = self::fact($failure);
            // Failures of one mode, build and method stand alike.
            $status = $known[$fact->key().' '.$fact->build.' '.$fact->method] ??= $failures->status($fact);
            $rows[] = self::row($failure, $status, $causes[$fact->id] ?? [], $candidates[$fact->id] ?? []);
        }

        return $rows;
    }

    private static function fact(Failure $failure): FailureFact
    {
        $view = $failure->view();

        return new FailureFact(
            $view->id, $view->revision, $view->mode, $view->place, $failure->run()?->trial()->method()->id()->toRfc4122(),
        );
    }

    /**
     * @param list<CauseView> $causes
     * @param list<string>    $candidates
     */
    private static function row(Failure $failure, FailureStatus $status, array $causes, array $candidates): FailureRow
    {
        $view = $failure->view();
        $run = $failure->run();
        $label = $run === null ? null : Messages::say('failure.run', ['number' => $run->number(), 'trial' => $run->trial()->name()]);

        return new FailureRow(
            $view, $run?->article()?->serial() ?? '', $label, $causes, $status->standing, FailureWords::standing($status), $candidates,
        );
    }
}
