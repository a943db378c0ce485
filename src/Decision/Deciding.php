<?php

declare(strict_types=1);

namespace Lustrum\Decision;

use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Account\Access;
use Lustrum\Account\User;
use Lustrum\Core\Quantity\Digits;
use Lustrum\Device\Requirement;
use Lustrum\Http\Problem;
use Lustrum\Record\History;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Record\Stored;
use Lustrum\Revision\Change;
use Lustrum\Revision\ChangeInput;
use Lustrum\Revision\Parameter;
use Lustrum\Revision\ParameterInput;
use Lustrum\Revision\Part;
use Lustrum\Revision\PartInput;
use Lustrum\Revision\Revision;
use Lustrum\Revision\RevisionInput;
use Lustrum\Revision\RevisionState;
use Lustrum\Weighing\Dossier;
use Lustrum\Weighing\Dossiers;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\Uid\Uuid;

/** Takes a decision: opens the next revision with its changes and expectations, and keeps what was known. */
final readonly class Deciding
{
    public function __construct(
        private EntityManagerInterface $em,
        private Records $records,
        private NextSheets $sheets,
        private Dossiers $dossiers,
        private History $history,
        private Security $security,
    ) {
    }

    public function decide(Uuid $id, DecisionInput $input): Decision
    {
        return $this->em->wrapInTransaction(function () use ($id, $input): Decision {
            $decision = Decision::start($id, $input, $this->records);
            $from = $decision->revision();
            if (!$this->security->isGranted(Access::Write->value, $from->workspace())) {
                throw Problem::forbidden('You may look at this workspace, but not decide in it. A lead can make you a member.');
            }
            // Two people deciding at once would open two builds from the same candidates.
            $this->em->getConnection()->executeStatement('SELECT 1 FROM revision WHERE id = ? FOR UPDATE', [$from->id()->toRfc4122()]);
            $dossier = $this->dossiers->open($from->device());
            [$open] = $this->sheets->candidates($from, $dossier);
            $chosen = array_values(array_filter($open, static fn (CandidateView $c): bool => $c->choice === Choice::In));
            if ($chosen === []) {
                throw Problem::violation('candidates', 'Nothing goes into the next build yet. Put at least one candidate in.');
            }
            $undecided = array_values(array_filter($open, static fn (CandidateView $c): bool => $c->choice === Choice::Open));
            if ($undecided !== []) {
                throw Problem::violation('candidates', sprintf('“%s” has no answer yet%s. Put it in, let it wait, or drop it, with a reason.', $undecided[0]->what, count($undecided) > 1 ? sprintf(' (and %d more)', count($undecided) - 1) : ''));
            }
            $next = $this->revision($from, $input);
            $this->carryOver($from, $next);
            foreach ($chosen as $candidate) {
                $this->change($candidate, $next);
            }
            $decision->opens($next, Stored::rows([$this->record($open, $chosen, $from, $dossier)])[0]);
            $decision->take($input, $this->records);
            $this->keep($decision);
            foreach ($open as $view) {
                if ($view->choice !== Choice::Wait) {
                    $this->records->find(Candidate::class, Uuid::fromString($view->id))->settledBy($decision);
                }
            }
            $this->em->flush();

            return $decision;
        });
    }

    private function revision(Revision $from, DecisionInput $input): Revision
    {
        foreach ($this->records->all(Revision::class, ['device' => $from->device()], true) as $other) {
            if (mb_strtolower($other->letter()) === mb_strtolower(trim($input->letter))) {
                throw Problem::violation('letter', sprintf('There is a build %s already.', $other->letter()));
            }
        }
        $branch = $from->view()->branch;
        $sent = new RevisionInput($from->device()->id()->toRfc4122(), $input->letter, $from->id()->toRfc4122(), $branch, $input->intent, $from->firmware(), RevisionState::Building);
        $next = Revision::start(Uuid::fromString($input->next), $sent, $this->records);
        $next->take($sent, $this->records);
        $this->keep($next);

        return $next;
    }

    /** Parameters and parts are those of the parent until somebody changes them. */
    private function carryOver(Revision $from, Revision $next): void
    {
        $to = $next->id()->toRfc4122();
        foreach ($this->records->all(Parameter::class, ['revision' => $from]) as $parameter) {
            $view = $parameter->view();
            $sent = new ParameterInput($to, $view->name, $view->measure->text);
            $copy = Parameter::start(Uuid::v7(), $sent, $this->records);
            $copy->take($sent, $this->records);
            $copy->restore(['measure' => get_object_vars($view->measure)], $this->records);
            $this->keep($copy);
        }
        foreach ($this->records->all(Part::class, ['revision' => $from]) as $part) {
            $view = $part->view();
            $sent = new PartInput($to, $view->name, $view->material, $view->quantity, $view->cost, $view->note);
            $copy = Part::start(Uuid::v7(), $sent, $this->records);
            $copy->take($sent, $this->records);
            $this->keep($copy);
        }
    }

    private function change(CandidateView $candidate, Revision $next): void
    {
        $first = $candidate->effects[0] ?? null;
        $others = array_map(static fn (ExpectedEffect $e): string => sprintf('%s %s %s', $e->metric, Digits::plain($e->likely, 3), $e->unit), array_slice($candidate->effects, 1));
        $why = trim(implode(' ', array_filter([$candidate->why, $candidate->reason, $others === [] ? '' : 'Also expected: '.implode(', ', $others).'.'])));
        $sent = new ChangeInput($next->id()->toRfc4122(), $candidate->what, mb_substr($why, 0, 4000), $candidate->class, $first->metric ?? '', $first?->likely, $first->unit ?? '', null, '', $candidate->failure);
        $change = Change::start(Uuid::v7(), $sent, $this->records);
        $change->take($sent, $this->records);
        $this->keep($change);
    }

    /**
     * @param list<CandidateView> $all
     * @param list<CandidateView> $chosen
     */
    private function record(array $all, array $chosen, Revision $from, Dossier $dossier): DecisionRecord
    {
        $consequences = Weighed::together($chosen, $from, $dossier);
        $evidence = array_map(static function (Requirement $r) use ($dossier, $from): KnownEvidence {
            $cell = $dossier->evidence->cell($r, $from);

            return new KnownEvidence($r->view()->statement, $cell->texture, $cell->sentence);
        }, $dossier->requirements);

        return new DecisionRecord(array_map(DecisionLine::of(...), $all), $evidence, $consequences->cost, $consequences->hours, $dossier->device->view()->currency, $consequences->entangled, $consequences->over, array_map(static fn (MetricForecast $f): string => $f->sentence, $consequences->forecasts));
    }

    /** @param Record<covariant RecordInput> $record */
    private function keep(Record $record): void
    {
        $user = $this->security->getUser();
        $author = $user instanceof User ? $user : null;
        $record->written('', $author, true);
        $this->em->persist($record);
        $this->history->created($record, $author);
    }
}
