<?php

declare(strict_types=1);

namespace Lustrum\Action\Run;

use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Core\Judging\HeldFirst;
use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\Factor;
use Lustrum\Core\Run\Row;
use Lustrum\Core\Wording\FieldWords;
use Lustrum\Core\Wording\MethodSheetWords;
use Lustrum\Domain\Trial\Run;
use Lustrum\Domain\Trial\RunInput;
use Lustrum\Domain\Trial\Trial;
use Lustrum\Facts\ArticlePast;
use Lustrum\Facts\HeldRuns;
use Lustrum\Facts\MadeNow;
use Lustrum\Record\Beginning;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Shared\AskedBack;
use Lustrum\Shared\Refusal\AsksBack;
use Lustrum\Shared\Refusal\Invalid;
use Symfony\Component\Clock\ClockInterface;
use Symfony\Component\Uid\Uuid;

/** Begins a run: it gets its number, what its article has been through, and a frozen copy of all it is judged by. */
final readonly class RunBeginning implements Beginning
{
    /** Seconds by which clocks differ that are right. */
    private const SOON = 120.0;

    public function __construct(
        private EntityManagerInterface $em,
        private Records $records,
        private ArticlePast $past,
        private Configurations $configurations,
        private HeldRuns $held,
        private MadeNow $now,
        private EmptyRuns $empties,
        private ClockInterface $clock,
    ) {
    }

    public static function of(): string
    {
        return Run::class;
    }

    public function begin(Uuid $id, RecordInput $input): Record
    {
        $input = $input instanceof RunInput ? $input : throw new \LogicException('A run begins from a run.');
        $run = Run::start($id, $input, $this->records);
        $this->mustHaveBegun($run, $input);
        $run->trial()->mustBeSafeToRun($this->changed($run->trial()));
        $this->mustBeItsTurn($run, $input);
        $this->freeze($run);
        $run->trial()->began();
        $run->trial()->revision()->wasRun();

        return $run;
    }

    /** @throws AsksBack when it begins later than now, and nobody has said that it does */
    private function mustHaveBegun(Run $run, RunInput $input): void
    {
        $in = (float) $run->startedAt()->format('U.u') - (float) $this->clock->now()->format('U.u');
        if ($in > self::SOON && !$input->inFuture) {
            $sentence = FieldWords::inFuture($in);
            throw AsksBack::about($sentence, [new AskedBack('future', $sentence, null)]);
        }
    }

    /** @throws Invalid when something must have held before, has not, and nobody goes ahead by name */
    private function mustBeItsTurn(Run $run, RunInput $input): void
    {
        $method = $run->trial()->method();
        $climbs = array_filter($method->factors(), static fn (Factor $f): bool => $f->climbs) !== [];
        if ($input->ahead !== null || ($method->before() === [] && !$climbs)) {
            return;
        }
        $levels = [];
        foreach ($input->levels as $level) {
            $levels[$level->name] = $level->text;
        }
        $missing = HeldFirst::missing(
            $this->present($run), $method->before(), $levels, $this->held->of($run->trial()->revision()->id()->toRfc4122()),
        );
        if ($missing !== []) {
            throw Invalid::at('ahead', MethodSheetWords::first($missing));
        }
    }

    /** When the method, or what the build is made of, was last changed. */
    private function changed(Trial $trial): ?\DateTimeImmutable
    {
        $build = $trial->revision()->id()->toRfc4122();
        $at = $this->em->getConnection()->fetchOne(
            'SELECT max(changed_at) FROM (SELECT changed_at FROM method WHERE id = :method
             UNION ALL SELECT changed_at FROM parameter WHERE revision_id = :build
             UNION ALL SELECT changed_at FROM part WHERE revision_id = :build) x',
            ['method' => $trial->method()->id()->toRfc4122(), 'build' => $build],
        );

        return is_string($at) ? new \DateTimeImmutable($at) : null;
    }

    /** Numbers it after the last of its trial, and freezes what it is made with. */
    public function freeze(Run $run): void
    {
        $trial = $run->trial();
        $db = $this->em->getConnection();
        // Two phones starting a run at once: one waits here, so that numbers have no gaps and no doubles.
        $db->executeStatement('SELECT 1 FROM trial WHERE id = ? FOR UPDATE', [$trial->id()->toRfc4122()]);
        $last = $db->fetchOne('SELECT coalesce(max(number), 0) FROM run WHERE trial_id = ?', [$trial->id()->toRfc4122()]);
        $article = $run->article();
        $past = $article === null ? ['runs' => 0, 'failures' => 0] : $this->past->before($article->id()->toRfc4122(), $run->startedAt());
        $run->freeze(
            $this->configurations->stored($this->empties->atStart($this->present($run), $trial, $run->startedAt()), $run->belongsTo()),
            Row::whole($last) + 1, $past['runs'], $past['failures'],
        );
    }

    /** What a run that begins now is made with and judged by. */
    public function present(Run $run): Configuration
    {
        return $this->now->of($run->trial(), $run->article(), $run->firmware(), $run->articleState());
    }
}
