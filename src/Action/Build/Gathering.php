<?php

declare(strict_types=1);

namespace Lustrum\Action\Build;

use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Action\Run\Configurations;
use Lustrum\Core\Change\ChangeClass;
use Lustrum\Core\Judging\NextLetter;
use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\Deviation;
use Lustrum\Core\Run\DeviationKind;
use Lustrum\Core\Run\Row;
use Lustrum\Core\Run\RunFact;
use Lustrum\Core\Run\Step;
use Lustrum\Core\Wording\BuildWords;
use Lustrum\Domain\Change\Change;
use Lustrum\Domain\Change\ChangeInput;
use Lustrum\Domain\Decision\Alteration;
use Lustrum\Domain\Decision\AlterationKind;
use Lustrum\Domain\Finding\Failure;
use Lustrum\Domain\Finding\Observation;
use Lustrum\Domain\Finding\Photo;
use Lustrum\Domain\Revision\Article;
use Lustrum\Domain\Revision\Part;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Domain\Revision\RevisionInput;
use Lustrum\Domain\Revision\RevisionState;
use Lustrum\Domain\Revision\RevisionView;
use Lustrum\Domain\Trial\Run;
use Lustrum\Domain\Trial\Trial;
use Lustrum\Domain\Trial\TrialInput;
use Lustrum\Facts\RunFacts;
use Lustrum\Record\AfterWrite;
use Lustrum\Record\Records;
use Lustrum\Record\RecordWriter;
use Lustrum\Shared\Refusal\Invalid;
use Symfony\Component\Uid\Uuid;

/**
 * Gathers what was changed on an article between runs into a build of its own, which begins after one of the steps. The article
 * becomes one of that build, and the runs of that step and of later ones go along: nothing is typed again, and each keeps its
 * number and what was read.
 */
final readonly class Gathering
{
    /** So many runs go along at once. */
    private const MOST = 500;

    public function __construct(
        private EntityManagerInterface $em,
        private Records $records,
        private RecordWriter $writer,
        private CarryingOver $carrying,
        private Altering $altering,
        private Configurations $configurations,
        private AfterWrite $after,
        private RunFacts $facts,
        private StepsTaken $steps,
    ) {
    }

    /**
     * Sent twice, it is one build.
     *
     * @param int|null     $step    after which it begins, from 1; null: the last one
     * @param list<string> $answers identifiers of failures that what was changed after them is meant to end
     */
    public function gather(Article $article, Uuid $id, ?int $step = null, array $answers = []): RevisionView
    {
        return $this->em->wrapInTransaction(function () use ($article, $id, $step, $answers): RevisionView {
            $this->writer->oneAtATime($id);
            $known = $this->em->find(Revision::class, $id);
            if ($known !== null) {
                // Whose build that is, is nobody's business who guesses its identifier.
                return $known->belongsTo()->equals($article->belongsTo())
                    ? $known->view() : throw Invalid::at('id', 'That identifier is taken.');
            }
            $taken = $this->steps->of($article);
            if ($taken->now === []) {
                throw Invalid::at(
                    'article', 'Nothing was changed on this article that a build could take over: no parameter, and no part.',
                );
            }
            $after = $step === null ? $taken->present() : $step - 1;
            $gathered = $taken->steps[$after]->all
                ?? throw Invalid::at('step', sprintf('There are %d steps, from 1.', count($taken->steps)));
            $from = $article->revision();
            $next = $this->open($from, $article, $id);
            foreach ($gathered as $deviation) {
                $this->take($deviation, $from, $next, $taken->answered($deviation, $answers));
            }
            $runs = self::going($taken->made, array_filter(
                array_slice($taken->steps, $after), static fn (Step $s): bool => $s->has($gathered),
            ));
            $this->writer->amend(
                Article::class, $article->id(), $article->version(), static fn (Article $a) => $a->gatheredInto($next, $gathered),
            );
            $this->move($runs, $next, $gathered);
            $this->em->flush();
            $this->after->written([$from, $next]);

            return $next->view();
        });
    }

    private function open(Revision $from, Article $article, Uuid $id): Revision
    {
        $all = $this->records->all(Revision::class, ['device' => $from->device()], true);
        $children = array_filter($all, static fn (Revision $r): bool => $r->parent()?->id()->equals($from->id()) === true);
        $letter = NextLetter::child($from->letter(), array_map(static fn (Revision $r): string => $r->letter(), $all), $children === []);
        $next = $this->writer->make(Revision::class, $id, new RevisionInput(
            $from->device()->id()->toRfc4122(), $letter, $from->id()->toRfc4122(), $from->branch(),
            BuildWords::gathered($article->serial()), $from->firmware(), RevisionState::Built,
        ));
        $next = $next instanceof Revision ? $next : throw new \LogicException('A build was made.');
        $this->carrying->copy($from, $next);
        $this->em->flush();

        return $next;
    }

    /**
     * One change: applied to the build, and recorded with what it altered and which failures it is meant to end.
     *
     * @param list<string> $against
     */
    private function take(Deviation $deviation, Revision $from, Revision $next, array $against): void
    {
        [$kind, $class] = match ($deviation->kind) {
            DeviationKind::Parameter => [AlterationKind::Parameter, ChangeClass::Shape],
            DeviationKind::Firmware => [AlterationKind::Firmware, ChangeClass::Firmware],
            default => [AlterationKind::Material, ChangeClass::Material],
        };
        $was = $this->altering->stands($kind, $deviation->name, $from);
        $this->altering->apply(new Alteration($kind, $deviation->name, $was, $deviation->value), $next);
        $this->writer->make(Change::class, Uuid::v7(), new ChangeInput(
            $next->id()->toRfc4122(), BuildWords::changedTo($deviation->name, $deviation->value, $was), '',
            $class, against: $against,
            alters: [$kind->of($deviation->name)],
        ));
    }

    /**
     * @param list<Run>   $made
     * @param array<Step> $steps that go along
     *
     * @return list<Run>
     */
    private static function going(array $made, array $steps): array
    {
        $places = array_merge(...array_values(array_map(static fn (Step $s): array => $s->runs, $steps)));
        $runs = array_values(array_intersect_key($made, array_flip($places)));

        if (count($runs) > self::MOST) {
            throw Invalid::at('article', sprintf('At most %d runs go along with a build at once.', self::MOST));
        }

        return $runs;
    }

    /**
     * @param list<Run>       $runs
     * @param list<Deviation> $gathered
     */
    private function move(array $runs, Revision $next, array $gathered): void
    {
        $parts = array_map(
            static fn (Part $p): array => get_object_vars($p->asFact()), $this->records->all(Part::class, ['revision' => $next]),
        );
        $trials = $made = [];
        foreach ($runs as $run) {
            $trial = $run->trial();
            $to = $trials[$trial->id()->toRfc4122()] ??= $this->trial($trial, $next, $runs);
            $was = $run->configuration();
            // Most runs of a trial were made with the same.
            $is = $made[$was->hash()] ??= $this->configurations->stored(
                self::madeWith($was, $next, $parts, $gathered), $run->belongsTo(),
            );
            $this->writer->amend(Run::class, $run->id(), $run->version(), static fn (Run $r) => $r->goesTo($to, $is));
        }
        foreach ($runs === [] ? [] : [Failure::class, Observation::class, Photo::class] as $class) {
            foreach ($this->records->all($class, ['run' => $runs]) as $record) {
                $this->writer->amend(
                    $class, $record->id(), $record->version(), static fn (Failure|Observation|Photo $r) => $r->goesTo($next),
                );
            }
        }
    }

    /** @param list<Run> $runs all that go along */
    private function trial(Trial $of, Revision $next, array $runs): Trial
    {
        $view = $of->view();
        $going = array_fill_keys(array_map(static fn (Run $r): string => $r->id()->toRfc4122(), $runs), true);
        $results = array_filter($this->facts->ofTrial($of->id()->toRfc4122()), static fn (RunFact $r): bool => $r->says());
        $left = count(array_filter($results, static fn (RunFact $r): bool => !isset($going[$r->id])));
        // What was planned is planned once: as many as stay are the old trial's, the rest goes along.
        $trial = $this->writer->make(Trial::class, Uuid::v7(), new TrialInput(
            $next->id()->toRfc4122(), $view->method, $view->name, $view->question,
            $view->plannedRuns === 0 ? 0 : max(count($results) - $left, $view->plannedRuns - $left), $view->repeats, $view->state,
        ));
        $this->writer->amend(Trial::class, $of->id(), $of->version(), static fn (Trial $t) => $t->gaveAway($left));

        return $trial instanceof Trial ? $trial : throw new \LogicException('A trial was made.');
    }

    /**
     * What a run was made with does not change; that it was this build is what is new.
     *
     * @param list<array<string, mixed>> $parts    of the build
     * @param list<Deviation>            $gathered
     */
    private static function madeWith(Configuration $made, Revision $next, array $parts, array $gathered): Configuration
    {
        $row = $made->toRow();
        $isOwn = $made->ownFirmware && $made->firmware !== $next->firmware();

        return Configuration::fromRow([
            'revision' => $next->id()->toRfc4122(), 'letter' => $next->letter(), 'parts' => $parts, 'deviants' => array_values(array_filter(
                Row::rows($row['deviants'] ?? []), static fn (array $d): bool => !Deviation::fromRow($d)->isAmong($gathered),
            )), 'ownFirmware' => $isOwn,
        ] + $row);
    }
}
