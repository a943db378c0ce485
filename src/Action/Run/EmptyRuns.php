<?php

declare(strict_types=1);

namespace Lustrum\Action\Run;

use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Core\Quantity\Units;
use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\Constant;
use Lustrum\Core\Run\EmptyRun;
use Lustrum\Core\Run\Purpose;
use Lustrum\Core\Run\RigReading;
use Lustrum\Domain\Trial\Reading;
use Lustrum\Domain\Trial\ReadingInput;
use Lustrum\Domain\Trial\Run;
use Lustrum\Domain\Trial\RunInput;
use Lustrum\Domain\Trial\Trial;
use Lustrum\Facts\EmptyFacts;
use Lustrum\Record\AfterWrite;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Record\RecordWriter;
use Lustrum\Record\Writing;
use Lustrum\Record\Written;
use Symfony\Component\Uid\Uuid;

/**
 * What the rig reads by itself is taken off the runs between two such runs. A run takes over what is known when it begins;
 * what comes later is taken over by the runs that it concerns, as each keeps all that it is judged by.
 */
final readonly class EmptyRuns implements Writing
{
    public function __construct(
        private EntityManagerInterface $em,
        private Records $records,
        private RecordWriter $writer,
        private Configurations $configurations,
        private EmptyFacts $facts,
        private AfterWrite $after,
    ) {
    }

    public function takes(RecordInput $input): bool
    {
        if ($input instanceof RunInput) {
            return $input->purpose === Purpose::Empty;
        }

        return $input instanceof ReadingInput && Uuid::isValid($input->run)
            && $this->em->find(Run::class, Uuid::fromString($input->run))?->isEmpty() === true;
    }

    public function put(Uuid $id, RecordInput $input): Written
    {
        [$class, $trial] = match (true) {
            $input instanceof RunInput => [Run::class, $this->records->named(Trial::class, $input->trial, 'trial')],
            $input instanceof ReadingInput => [Reading::class, $this->records->named(Run::class, $input->run, 'run')->trial()],
            default => throw new \LogicException('It takes runs and readings.'),
        };

        return $this->em->wrapInTransaction(function () use ($id, $input, $class, $trial): Written {
            $this->lock($trial);
            $written = $this->writer->put($class, $id, $input);
            $this->takeOver($trial);

            return $written;
        });
    }

    /** What was read of the rig alone is another value now; within the transaction of that. */
    public function changed(Run $run): void
    {
        if ($run->isEmpty()) {
            $this->lock($run->trial());
            $this->takeOver($run->trial());
        }
    }

    /** Runs before the device, as every other write takes them: nobody waits for somebody who waits. */
    private function lock(Trial $trial): void
    {
        $this->em->getConnection()->executeStatement(
            'SELECT 1 FROM run WHERE trial_id = ? ORDER BY id FOR NO KEY UPDATE', [$trial->id()->toRfc4122()],
        );
    }

    /** All runs of a trial take over what the rig read by itself around them. */
    private function takeOver(Trial $trial): void
    {
        if (!EmptyRun::isTakenOff(...$trial->method()->channels())) {
            return;
        }
        $this->em->flush();
        $empties = $this->empties($trial);
        $changed = $stored = [];
        foreach ($this->records->all(Run::class, ['trial' => $trial]) as $run) {
            if ($run->isEmpty()) {
                continue;
            }
            $now = self::around($run->configuration(), $empties, $run->startedAt());
            if ($now != $run->configuration()->empties) {
                // Runs between the same two share what they were made with.
                $next = $run->configuration()->takingOff($now);
                $run->learned($stored[$next->hash()] ??= $this->configurations->stored($next, $run->belongsTo()), []);
                $changed[] = $run;
            }
        }
        $this->em->flush();
        if ($changed !== []) {
            $this->after->written($changed);
        }
    }

    /** What a run that begins now is made with, beside its configuration. */
    public function atStart(Configuration $configuration, Trial $trial, \DateTimeImmutable $at): Configuration
    {
        return EmptyRun::isTakenOff(...$configuration->channels)
            ? $configuration->takingOff(self::around($configuration, $this->empties($trial), $at)) : $configuration;
    }

    /** @return list<RigReading> in their order */
    private function empties(Trial $trial): array
    {
        return array_values(array_filter(
            $this->facts->ofTrial($trial->id()->toRfc4122()), static fn (RigReading $r): bool => $r->purpose === Purpose::Empty,
        ));
    }

    /**
     * @param list<RigReading> $empties in their order
     *
     * @return list<Constant>
     */
    private static function around(Configuration $configuration, array $empties, \DateTimeImmutable $at): array
    {
        $out = [];
        foreach ($configuration->channels as $channel) {
            $before = $after = null;
            foreach ($empties as $empty) {
                if ($empty->channel !== $channel->key) {
                    continue;
                }
                if (new \DateTimeImmutable($empty->at) <= $at) {
                    $before = $empty;
                } else {
                    $after ??= $empty;
                }
            }
            $unit = Units::parse($channel->unit);
            [$first, $second] = $before === null ? [$after, null] : [$before, $after];
            if ($first !== null) {
                $out[] = EmptyRun::constant(
                    $channel, $unit->fromSi($first->si), $second === null ? null : $unit->fromSi($second->si), $first->step / $unit->factor,
                );
            }
        }

        return $out;
    }
}
