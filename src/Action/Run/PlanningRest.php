<?php

declare(strict_types=1);

namespace Lustrum\Action\Run;

use Lustrum\Core\CoreException;
use Lustrum\Core\Plan\Progress;
use Lustrum\Core\Wording\PlanWords;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Domain\Trial\LayoutView;
use Lustrum\Domain\Trial\RestInput;
use Lustrum\Domain\Trial\Trial;
use Lustrum\Domain\Trial\TrialInput;
use Lustrum\Facts\PlanFacts;
use Lustrum\Record\Inputs;
use Lustrum\Record\Records;
use Lustrum\Record\RecordWriter;
use Lustrum\Record\Written;
use Lustrum\Shared\Refusal\Invalid;
use Lustrum\Shared\Refusal\Refusal;
use Symfony\Component\Uid\Uuid;

/** What a trial planned and did not do is the first plan of the next time. */
final readonly class PlanningRest
{
    public function __construct(
        private Records $records,
        private RecordWriter $writer,
        private Inputs $inputs,
        private PlanFacts $plans,
    ) {
    }

    /** @throws Refusal */
    public function plan(Trial $of, RestInput $input): Written
    {
        $build = $input->revision === null ? $of->revision() : $this->records->named(Revision::class, $input->revision, 'revision');
        if (!$build->belongsTo()->equals($of->belongsTo())) {
            throw Invalid::at('revision', 'That build is of another device.');
        }
        $layout = $of->layout();
        if ($layout === null || !$layout->kind->isLaidOut()) {
            throw Invalid::at('trial', 'Its runs were not laid out, so there is no rest of a plan. Start a trial as any.');
        }
        try {
            $left = Progress::of($layout, $of->method()->factors(), $this->plans->madeOf($of->id()->toRfc4122()))->left();
        } catch (CoreException $e) {
            throw Invalid::at('trial', $e->getMessage());
        }
        if ($left === []) {
            throw Invalid::at('trial', 'All of it was done. There is nothing left to plan.');
        }
        $view = $of->view();

        return $this->writer->put(Trial::class, Uuid::fromString($input->trial), $this->inputs->read(TrialInput::class, [
            'revision' => $build->id()->toRfc4122(), 'method' => $view->method, 'name' => mb_substr(PlanWords::rest($view->name), 0, 120),
            'question' => $view->question, 'repeats' => $view->repeats->value, 'plannedRuns' => count($left), 'waitsFor' => $view->waitsFor,
            'layout' => json_decode(
                json_encode(LayoutView::of($layout->rest($left, PlanWords::doneIn($view->name))), \JSON_THROW_ON_ERROR), true,
            ),
        ]));
    }
}
