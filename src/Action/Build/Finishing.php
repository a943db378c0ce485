<?php

declare(strict_types=1);

namespace Lustrum\Action\Build;

use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Account\CurrentUser;
use Lustrum\Core\Run\Answer;
use Lustrum\Core\Run\MakingRun;
use Lustrum\Core\Run\RunOutcome;
use Lustrum\Core\Wording\WorkshopWords;
use Lustrum\Domain\Method\ChannelInput;
use Lustrum\Domain\Method\Method;
use Lustrum\Domain\Method\MethodInput;
use Lustrum\Domain\Method\QuestionInput;
use Lustrum\Domain\Method\Safety;
use Lustrum\Domain\Revision\Article;
use Lustrum\Domain\Revision\Making;
use Lustrum\Domain\Trial\Answered;
use Lustrum\Domain\Trial\Reading;
use Lustrum\Domain\Trial\ReadingInput;
use Lustrum\Domain\Trial\Run;
use Lustrum\Domain\Trial\RunInput;
use Lustrum\Domain\Trial\RunView;
use Lustrum\Domain\Trial\Trial;
use Lustrum\Domain\Trial\TrialInput;
use Lustrum\Record\AfterWrite;
use Lustrum\Record\Records;
use Lustrum\Record\RecordWriter;
use Lustrum\Shared\Refusal\Invalid;
use Symfony\Component\Uid\Uuid;

/**
 * An article is made: how long that took, what was scrapped and whether it came right first time become a run, so that making is
 * weighed, compared and required as everything else is.
 */
final readonly class Finishing
{
    public function __construct(
        private EntityManagerInterface $em,
        private Records $records,
        private RecordWriter $writer,
        private AfterWrite $after,
        private CurrentUser $user,
    ) {
    }

    /** Sent twice, it is one run. */
    public function finish(Article $article, Uuid $id): RunView
    {
        return $this->em->wrapInTransaction(function () use ($article, $id): RunView {
            $this->writer->oneAtATime($article->id());
            $known = $this->em->find(Run::class, $id);
            if ($known !== null) {
                return $known->belongsTo()->equals($article->belongsTo()) ? $known->view() : throw Invalid::at(
                    'id', 'That identifier is taken.',
                );
            }
            $steps = $this->records->all(Making::class, ['article' => $article]);
            if ($steps === []) {
                throw Invalid::at('article', 'No step of making it was logged, so there is nothing to count.');
            }
            $method = $this->method($article);
            foreach ($this->records->all(Run::class, ['article' => $article]) as $run) {
                // Reworked into another build, it is not made a second time.
                if ($run->outcome() !== null && $run->trial()->method()->id()->equals($method->id())) {
                    throw Invalid::at('article', 'It was made already. What was logged since belongs to mending it.');
                }
            }

            return $this->run($article, $this->trial($article, $method), $id, $steps);
        });
    }

    /** @param list<Making> $steps */
    private function run(Article $article, Trial $trial, Uuid $id, array $steps): RunView
    {
        $begun = new RunInput($trial->id()->toRfc4122(), $article->id()->toRfc4122(), $this->user->name());
        $run = $this->writer->make(Run::class, $id, $begun);
        $run = $run instanceof Run ? $run : throw new \LogicException('A run was begun.');
        $this->em->flush();
        $written = [$run];
        $minutes = array_map(static fn (Making $m): ?float => $m->minutes(), $steps);
        if (!in_array(null, $minutes, true)) {
            $written[] = $this->reading($run, MakingRun::TIME, sprintf('%.2f h', array_sum($minutes) / 60));
        }
        $written[] = $this->reading(
            $run, MakingRun::SCRAP, array_sum(array_map(static fn (Making $m): int => $m->scrap(), $steps)).' count',
        );
        $isRight = array_filter($steps, static fn (Making $m): bool => $m->wentWrong()) === [];
        $run->fill(new RunInput(
            $begun->trial, $begun->article, $begun->operator, outcome: $isRight ? RunOutcome::Held : RunOutcome::Failed,
            outcomeReason: $isRight ? '' : WorkshopWords::notRight(),
            answers: [new Answered(MakingRun::RIGHT, $isRight ? Answer::Held : Answer::Failed)],
        ), $this->records);
        $this->em->flush();
        $this->after->written($written);

        return $run->view();
    }

    private function reading(Run $run, string $channel, string $text): Reading
    {
        $reading = $this->writer->make(Reading::class, Uuid::v7(), new ReadingInput(
            $run->id()->toRfc4122(), $channel, $text, WorkshopWords::asLogged(),
        ));

        return $reading instanceof Reading ? $reading : throw new \LogicException('A reading was made.');
    }

    private function method(Article $article): Method
    {
        $device = $article->revision()->device();
        foreach ($this->records->all(Method::class, ['device' => $device]) as $method) {
            if ($method->name() === WorkshopWords::making()) {
                return $method;
            }
        }
        $method = $this->writer->make(Method::class, Uuid::v7(), new MethodInput(
            $device->id()->toRfc4122(), WorkshopWords::making(), WorkshopWords::makingPurpose(), channels: [
                new ChannelInput(MakingRun::TIME, MakingRun::TIME_METRIC, 'h', 'Clock', 0.01),
                new ChannelInput(MakingRun::SCRAP, MakingRun::SCRAP_METRIC, 'count', '', 1.0),
            ], questions: [new QuestionInput(MakingRun::RIGHT_METRIC, MakingRun::RIGHT, WorkshopWords::right())], wears: false,
            safety: new Safety([], [], WorkshopWords::makingStop()),
        ));
        $this->em->flush();

        return $method instanceof Method ? $method : throw new \LogicException('A method was made.');
    }

    private function trial(Article $article, Method $method): Trial
    {
        $revision = $article->revision();
        $known = $this->records->all(Trial::class, ['revision' => $revision, 'method' => $method])[0] ?? null;
        if ($known !== null) {
            return $known;
        }
        $trial = $this->writer->make(Trial::class, Uuid::v7(), new TrialInput(
            $revision->id()->toRfc4122(), $method->id()->toRfc4122(), $method->name(), plannedRuns: 0,
        ));
        $this->em->flush();

        return $trial instanceof Trial ? $trial : throw new \LogicException('A trial was made.');
    }
}
