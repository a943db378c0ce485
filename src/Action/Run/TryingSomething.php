<?php

declare(strict_types=1);

namespace Lustrum\Action\Run;

use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Account\CurrentUser;
use Lustrum\Account\Workspace;
use Lustrum\Core\Said\Line;
use Lustrum\Core\Wording\MethodWords;
use Lustrum\Domain\Device\Device;
use Lustrum\Domain\Device\DeviceInput;
use Lustrum\Domain\Method\Method;
use Lustrum\Domain\Method\MethodInput;
use Lustrum\Domain\Method\Safety;
use Lustrum\Domain\Revision\Article;
use Lustrum\Domain\Revision\ArticleInput;
use Lustrum\Domain\Revision\Revision;
use Lustrum\Domain\Revision\RevisionInput;
use Lustrum\Domain\Trial\Run;
use Lustrum\Domain\Trial\RunInput;
use Lustrum\Domain\Trial\Trial;
use Lustrum\Domain\Trial\TrialInput;
use Lustrum\Domain\Trial\TrialState;
use Lustrum\Domain\Trial\TriedView;
use Lustrum\Domain\Trial\TryInput;
use Lustrum\Record\AfterWrite;
use Lustrum\Record\Records;
use Lustrum\Record\RecordWriter;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Refusal\Invalid;
use Symfony\Component\Uid\Uuid;

/** Begins with a thing in the hand: one line makes whatever is missing, down to the run that begins. */
final readonly class TryingSomething
{
    public function __construct(
        private EntityManagerInterface $em,
        private Records $records,
        private RecordWriter $writer,
        private AfterWrite $after,
        private CurrentUser $user,
    ) {
    }

    /** @throws \Lustrum\Shared\Refusal\Refusal */
    public function begin(Workspace $workspace, TryInput $input): TriedView
    {
        return $this->em->wrapInTransaction(function () use ($workspace, $input): TriedView {
            $id = Uuid::fromString($input->run);
            $this->writer->oneAtATime($id);
            $known = $this->em->find(Run::class, $id);
            if ($known !== null) {
                // Sent twice, it is one run; whose it is, is nobody's business who guesses its identifier.
                return $known->workspace()->id()->equals($workspace->id()) ? self::view($known) : throw Invalid::at(
                    'run', 'That identifier is taken.',
                );
            }
            if (trim($input->hurts) !== '' && trim($input->stop) === '') {
                throw Invalid::at('stop', 'Where something can hurt somebody, say when to stop before it begins.');
            }
            $name = self::name($input->what);
            $fresh = $input->build === null;
            $build = $fresh
                ? $this->newBuild($workspace, trim($input->device) === '' ? $name : trim($input->device))
                : $this->records->named(Revision::class, $input->build, 'build');
            if (!$build->workspace()->id()->equals($workspace->id())) {
                throw Invalid::at('build', 'That build is of another workspace.');
            }
            // What somebody has in the hand is an article of it.
            $article = $fresh ? $this->firstArticle($build) : $input->article;
            $run = $this->writer->make(Run::class, $id, new RunInput(
                $this->trial($build, $this->method($build->device(), $name, $input))->id()->toRfc4122(), $article, $this->user->name(),
            ));
            $this->em->flush();
            $this->after->written($fresh ? [$build->device(), $run] : [$run]);

            return self::view($run instanceof Run ? $run : throw new \LogicException('A run was begun.'));
        });
    }

    /** The line without its numbers, which are taken up on the run. */
    private static function name(string $what): string
    {
        $words = Line::read($what)->words;

        return $words === '' ? MethodWords::unnamed() : mb_substr(
            mb_strtoupper(mb_substr($words, 0, 1)).mb_substr($words, 1), 0, Limit::NAME,
        );
    }

    private function newBuild(Workspace $workspace, string $name): Revision
    {
        $device = $this->writer->make(Device::class, Uuid::v7(), new DeviceInput($workspace->id()->toRfc4122(), $name));
        $this->em->flush();
        $build = $this->writer->make(Revision::class, Uuid::v7(), new RevisionInput($device->id()->toRfc4122(), 'A'));
        $this->em->flush();

        return $build instanceof Revision ? $build : throw new \LogicException('A build was made.');
    }

    private function firstArticle(Revision $build): string
    {
        $id = Uuid::v7();
        $this->writer->make(Article::class, $id, new ArticleInput($build->id()->toRfc4122(), $build->letter().'-1'));
        $this->em->flush();

        return $id->toRfc4122();
    }

    /** What was tried before under this name is tried again; a hazard that is new to it is minded from now on. */
    private function method(Device $device, string $name, TryInput $input): Method
    {
        [$hazard, $stop] = [trim($input->hurts), trim($input->stop)];
        foreach ($this->records->all(Method::class, ['device' => $device]) as $method) {
            if (mb_strtolower($method->name()) === mb_strtolower($name)) {
                if ($hazard !== '' && !in_array($hazard, $method->safety()->hazards, true)) {
                    $this->writer->amend(
                        Method::class, $method->id(), $method->version(), static fn (Method $m) => $m->minds($hazard, $stop),
                    );
                }

                return $method;
            }
        }
        $method = $this->writer->make(Method::class, Uuid::v7(), new MethodInput(
            $device->id()->toRfc4122(), $name, safety: new Safety(
                $hazard === '' ? [] : [$hazard], [], $hazard === '' ? MethodWords::hurtsNobody() : $stop,
            ),
        ));
        $this->em->flush();

        return $method instanceof Method ? $method : throw new \LogicException('A method was made.');
    }

    private function trial(Revision $build, Method $method): Trial
    {
        foreach (array_reverse($this->records->all(Trial::class, ['revision' => $build, 'method' => $method])) as $trial) {
            if ($trial->view()->state !== TrialState::Done) {
                return $trial;
            }
        }
        $trial = $this->writer->make(Trial::class, Uuid::v7(), new TrialInput(
            $build->id()->toRfc4122(), $method->id()->toRfc4122(), $method->name(), plannedRuns: 0,
        ));
        $this->em->flush();

        return $trial instanceof Trial ? $trial : throw new \LogicException('A trial was made.');
    }

    private static function view(Run $run): TriedView
    {
        $build = $run->trial()->revision();

        return new TriedView(
            $build->device()->id()->toRfc4122(), $build->id()->toRfc4122(), $build->letter(), $run->id()->toRfc4122(),
        );
    }
}
