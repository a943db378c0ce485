<?php

declare(strict_types=1);

namespace Lustrum\Action\Decide;

use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Action\Build\Altering;
use Lustrum\Action\Build\CarryingOver;
use Lustrum\Core\Judging\Cell;
use Lustrum\Core\Judging\MetricForecast;
use Lustrum\Core\Wording\ChangeWords;
use Lustrum\Core\Wording\DecisionWords;
use Lustrum\Core\Wording\EvidenceWords;
use Lustrum\Core\Wording\Messages;
use Lustrum\Domain\Change\Change;
use Lustrum\Domain\Change\ChangeInput;
use Lustrum\Domain\Change\ExpectedEffect;
use Lustrum\Domain\Decision\Alteration;
use Lustrum\Domain\Decision\Candidate;
use Lustrum\Domain\Decision\CandidateView;
use Lustrum\Domain\Decision\Choice;
use Lustrum\Domain\Decision\Decision;
use Lustrum\Domain\Decision\DecisionInput;
use Lustrum\Domain\Decision\DecisionKind;
use Lustrum\Domain\Decision\DecisionLine;
use Lustrum\Domain\Decision\DecisionRecord;
use Lustrum\Domain\Decision\KnownEvidence;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Domain\Revision\RevisionInput;
use Lustrum\Domain\Revision\RevisionState;
use Lustrum\Facts\Book;
use Lustrum\Facts\Books;
use Lustrum\Facts\Candidates;
use Lustrum\Record\AfterWrite;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Record\RecordWriter;
use Lustrum\Record\Writing;
use Lustrum\Record\Written;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Refusal\ChangedMeanwhile;
use Lustrum\Shared\Refusal\Invalid;
use Symfony\Component\Uid\Uuid;

/** Takes a decision: opens the next revision with its changes and expectations, and keeps what was known. */
final readonly class Deciding implements Writing
{
    public function __construct(
        private EntityManagerInterface $em,
        private Records $records,
        private RecordWriter $writer,
        private Candidates $candidates,
        private Books $books,
        private AfterWrite $after,
        private CarryingOver $carrying,
        private Altering $altering,
    ) {
    }

    public function takes(RecordInput $input): bool
    {
        return $input instanceof DecisionInput;
    }

    /** Sent twice, it is one decision. */
    public function put(Uuid $id, RecordInput $input): Written
    {
        if (!$input instanceof DecisionInput) {
            throw new \LogicException('A decision is taken from a decision.');
        }

        return $this->em->wrapInTransaction(function () use ($id, $input): Written {
            $this->writer->oneAtATime($id);
            if ($this->em->find(Decision::class, $id) !== null) {
                return $this->again($id, $input);
            }

            return $this->decide($id, $input);
        });
    }

    private function again(Uuid $id, DecisionInput $input): Written
    {
        $known = $this->records->find(Decision::class, $id, true);
        $view = $known->view();
        $same = $view->next === $input->next && $view->nextLetter === trim($input->letter) && $view->note === $input->note;

        return $same ? new Written($view) : throw ChangedMeanwhile::to($view);
    }

    private function decide(Uuid $id, DecisionInput $input): Written
    {
        $decision = Decision::start($id, $input, $this->records);
        $from = $decision->revision();
        $this->records->mustWrite($from->workspace());
        // Two people deciding at once would open two builds from the same candidates.
        $this->em->getConnection()->executeStatement('SELECT 1 FROM revision WHERE id = ? FOR UPDATE', [$from->id()->toRfc4122()]);
        $book = $this->books->open($from->device());
        [$open] = $this->candidates->of($book->build($from->id()->toRfc4122()), $book);
        if ($input->kind !== DecisionKind::Build) {
            return $this->without($decision, $input, $open, $from, $book);
        }
        self::mustBeAnswered($open);
        $next = $this->open($from, $input);
        $decision->opens($next, $this->known($open, $from, $book));
        $decision->take($input, $this->records);
        $this->records->add($decision);
        foreach ($open as $candidate) {
            if ($candidate->choice() === Choice::In) {
                $this->change($candidate->view(), $next);
                foreach ($candidate->view()->alters as $alteration) {
                    $this->altering->apply($alteration, $next);
                }
            }
            if ($candidate->choice() !== Choice::Wait) {
                $candidate->settledBy($decision);
            }
        }
        $this->em->flush();

        return new Written($decision->view(), true, $this->after->written([$decision]));
    }

    /**
     * Decided without a next build: contenders go on, or more is tried. Nothing is settled; what was known is kept.
     *
     * @param list<Candidate> $open
     */
    private function without(Decision $decision, DecisionInput $input, array $open, Revision $from, Book $book): Written
    {
        if (trim($input->note) === '') {
            throw Invalid::at('note', $input->kind === DecisionKind::TryMore ? 'What is tried, and how often?' : 'Which go on, and why?');
        }
        $chosen = array_filter($open, static fn (Candidate $c): bool => $c->choice() === Choice::In);
        if ($input->kind === DecisionKind::Contenders && count($chosen) < 2) {
            throw Invalid::at('candidates', 'Contenders are two at least. Put in those that go on.');
        }
        $decision->opens(null, $this->known($open, $from, $book));
        $decision->take($input, $this->records);
        $this->records->add($decision);
        $this->em->flush();

        return new Written($decision->view(), true, $this->after->written([$decision]));
    }

    /** @param list<Candidate> $open */
    private static function mustBeAnswered(array $open): void
    {
        $with = static fn (Choice $choice): array => array_values(
            array_filter($open, static fn (Candidate $c): bool => $c->choice() === $choice),
        );
        if ($with(Choice::In) === []) {
            throw Invalid::at('candidates', 'Nothing goes into the next build yet. Put at least one candidate in.');
        }
        $undecided = $with(Choice::Open);
        if ($undecided !== []) {
            $more = count($undecided) - 1;
            throw Invalid::at('candidates', Messages::say('decision.unanswered', ['what' => $undecided[0]->what(), 'more' => $more]));
        }
    }

    private function open(Revision $from, DecisionInput $input): Revision
    {
        $letter = mb_strtolower(trim($input->letter));
        if ($letter === '') {
            throw Invalid::at('letter', 'This is still empty.');
        }
        foreach ($this->records->all(Revision::class, ['device' => $from->device()], true) as $other) {
            if (mb_strtolower($other->letter()) === $letter) {
                throw Invalid::at('letter', sprintf('There is a build %s already.', $other->letter()));
            }
        }
        $sent = new RevisionInput(
            $from->device()->id()->toRfc4122(), $input->letter, $from->id()->toRfc4122(), $from->branch(), $input->intent,
            $from->firmware(), RevisionState::Building,
        );
        $next = $this->writer->make(
            Revision::class, Uuid::fromString($input->next ?? throw Invalid::at('next', 'This is still empty.')), $sent,
        );
        $next = $next instanceof Revision ? $next : throw new \LogicException('A build was made.');
        $this->carrying->copy($from, $next);
        $this->em->flush();

        return $next;
    }

    private function change(CandidateView $candidate, Revision $next): void
    {
        $why = implode(' ', array_filter([$candidate->why, $candidate->reason], static fn (string $s): bool => $s !== ''));
        $this->writer->make(Change::class, Uuid::v7(), new ChangeInput(
            $next->id()->toRfc4122(), $candidate->what, mb_substr($why, 0, Limit::NOTE), $candidate->class, $candidate->effects, null, '',
            $candidate->failures, array_map(static fn (Alteration $a): string => $a->kind->of($a->name), $candidate->alters),
        ));
    }

    /** @param list<Candidate> $open */
    private function known(array $open, Revision $from, Book $book): DecisionRecord
    {
        $build = $book->build($from->id()->toRfc4122());
        $c = $this->candidates->together($open, $build, $book);
        $names = $book->metrics();

        return new DecisionRecord(
            array_map(static fn (Candidate $one): DecisionLine => self::line($one->view()), $open),
            array_map(static fn (Cell $cell): KnownEvidence => new KnownEvidence(
                $cell->wanted->statement, $cell->texture, EvidenceWords::cell($cell, $book->metric($cell->wanted->metric)),
            ), $book->cells($build)),
            $c->cost, $c->hours, $book->device->currency,
            array_map(static fn (MetricForecast $f): string => DecisionWords::entangled($f, $names), $c->entangled()),
            DecisionWords::over($c, $book->device),
            array_map(static fn (MetricForecast $f): string => DecisionWords::forecast($f, $names), $c->forecasts),
        );
    }

    private static function line(CandidateView $c): DecisionLine
    {
        $expected = array_map(
            static fn (ExpectedEffect $e): string => ChangeWords::expected($e->asFact(), $e->metric), $c->effects,
        );

        return new DecisionLine(
            $c->what, $c->why, $c->class, $c->choice, $c->reason, $c->cost, $c->hours, implode('; ', $expected), $c->askedBy,
        );
    }
}
