<?php

declare(strict_types=1);

namespace Lustrum\Action\Run;

use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Core\CoreException;
use Lustrum\Core\Evidence\Direction;
use Lustrum\Core\Quantity\Digits;
use Lustrum\Core\Quantity\Units;
use Lustrum\Core\Run\Channel;
use Lustrum\Core\Run\Configuration;
use Lustrum\Core\Run\Factor;
use Lustrum\Core\Run\FactorKind;
use Lustrum\Core\Run\Row;
use Lustrum\Core\Said\Line;
use Lustrum\Core\Said\LinePart;
use Lustrum\Core\Wording\MethodWords;
use Lustrum\Domain\Device\Metric;
use Lustrum\Domain\Device\Requirement;
use Lustrum\Domain\Device\RequirementInput;
use Lustrum\Domain\Finding\Observation;
use Lustrum\Domain\Finding\ObservationInput;
use Lustrum\Domain\Method\Method;
use Lustrum\Domain\Trial\Found;
use Lustrum\Domain\Trial\Reading;
use Lustrum\Domain\Trial\ReadingInput;
use Lustrum\Domain\Trial\Run;
use Lustrum\Domain\Trial\RunView;
use Lustrum\Domain\Trial\SaidPart;
use Lustrum\Domain\Trial\SaidView;
use Lustrum\Domain\Trial\TakenUp;
use Lustrum\Domain\Trial\TakeUpInput;
use Lustrum\Record\AfterWrite;
use Lustrum\Record\Record;
use Lustrum\Record\RecordInput;
use Lustrum\Record\Records;
use Lustrum\Record\RecordWriter;
use Lustrum\Shared\Refusal\Invalid;
use Symfony\Component\Uid\Uuid;

/**
 * A line about a run is kept as it was said; its numbers become results and levels of the method once somebody accepts
 * what they were read as, so that nothing is typed twice and the next run finds them there.
 */
final readonly class TakingUp
{
    public function __construct(
        private EntityManagerInterface $em,
        private Records $records,
        private RecordWriter $writer,
        private Configurations $configurations,
        private AfterWrite $after,
    ) {
    }

    public function said(Run $run, string $text): SaidView
    {
        return $this->em->wrapInTransaction(function () use ($run, $text): SaidView {
            $id = Uuid::v7();
            $observation = $this->writer->make(
                Observation::class, $id, new ObservationInput($run->trial()->revision()->id()->toRfc4122(), trim($text), $run->id()->toRfc4122()),
            );
            $this->em->flush();
            $this->after->written([$observation]);
            $line = Line::read($text);

            return new SaidView(
                $id->toRfc4122(), array_map(fn (LinePart $p): SaidPart => $this->proposed($p, $run), $line->parts), $line->held, $line->words,
            );
        });
    }

    /** What the method has that fits, by name where several do; else something new, called as the line has it. */
    private function proposed(LinePart $part, Run $run): SaidPart
    {
        $fitting = [];
        foreach ($part->isLevel ? $run->trial()->method()->factors() : $run->trial()->method()->channels() as $one) {
            if ($part->fits($one->unit) && !($one instanceof Channel && $one->isDerived()) && !($one instanceof Factor && $one->isBlock())) {
                $fitting[] = $one instanceof Channel ? $this->metric($one) : $one->name;
            }
        }
        $called = $part->called();
        $same = array_values(array_filter($fitting, static fn (string $n): bool => mb_strtolower($n) === mb_strtolower($called)));
        $name = $same[0] ?? ($part->name === '' || count($fitting) === 1 ? $fitting[0] ?? null : null);

        return new SaidPart($part->text, $part->unit, $name ?? $called, $part->isLevel, $name !== null);
    }

    private function metric(Channel $channel): string
    {
        return $this->em->find(Metric::class, Uuid::fromString($channel->metric))?->name() ?? $channel->key;
    }

    public function takeUp(Run $run, TakeUpInput $input): RunView
    {
        return $this->em->wrapInTransaction(function () use ($run, $input): RunView {
            $this->writer->oneAtATime($run->id());
            $method = $run->trial()->method();
            self::mustBeOnce($input->taken);
            $results = array_filter($input->taken, static fn (TakenUp $t): bool => !$t->isLevel);
            $levels = array_filter($input->taken, static fn (TakenUp $t): bool => $t->isLevel);
            $channels = $this->channels($method, $results);
            $factors = self::factors($method, $levels);
            if ($channels !== [] || $factors !== []) {
                // A method that has it all stays the version that it is: another one would tilt every comparison.
                $this->writer->amend(
                    Method::class, $method->id(), $method->version(), fn (Method $m) => $m->learns($channels, $factors, $this->records),
                );
            }
            $found = array_map(static fn (TakenUp $l): Found => new Found(trim($l->name), trim($l->text)), array_values($levels));
            $this->writer->amend(Run::class, $run->id(), $run->version(), fn (Run $r) => $r->learned(
                $this->configurations->stored(self::with($r->configuration(), $method), $r->belongsTo()), $found,
            ));
            $written = [...$this->readings($run, $results), ...$this->requirements($run, $results)];
            $this->em->flush();
            $this->after->written([$run, ...$written]);

            return $run->view();
        });
    }

    /** @param list<TakenUp> $taken */
    private static function mustBeOnce(array $taken): void
    {
        $seen = [];
        foreach ($taken as $i => $one) {
            $name = ($one->isLevel ? 'level ' : 'result ').mb_strtolower(trim($one->name));
            if (isset($seen[$name])) {
                throw Invalid::at(sprintf('taken[%d].name', $i), sprintf('“%s” is there twice, and one run has one of it.', trim($one->name)));
            }
            $seen[$name] = true;
        }
    }

    /** The same as it was, with what its method asks now. */
    private static function with(Configuration $made, Method $method): Configuration
    {
        $now = Row::json(json_encode([
            'channels' => $method->channels(), 'factors' => $method->factors(), 'methodVersion' => $method->version(),
            'methodName' => $method->name(),
        ], \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION));

        return Configuration::fromRow($now + $made->toRow());
    }

    /**
     * @param array<int, TakenUp> $results
     *
     * @return list<Channel> those that the method does not have yet
     */
    private function channels(Method $method, array $results): array
    {
        $keys = array_map(static fn (Channel $c): string => $c->key, $method->channels());
        $known = [];
        foreach ($method->channels() as $channel) {
            $known[mb_strtolower($this->metric($channel))] = $channel;
        }
        $out = [];
        foreach ($results as $i => $result) {
            $name = mb_strtolower(trim($result->name));
            $same = $known[$name] ?? null;
            if ($same !== null && !Units::parse($same->unit)->dimension->equals(Units::parse($result->unit)->dimension)) {
                throw Invalid::at(sprintf('taken[%d].name', $i), sprintf('“%s” is read in %s already.', trim($result->name), $same->unit));
            }
            if ($same === null) {
                $keys[] = $key = self::key($name, $keys);
                $known[$name] = $out[] = new Channel($key, trim($result->name), trim($result->unit));
            }
        }

        return $out;
    }

    /**
     * @param array<int, TakenUp> $levels
     *
     * @return list<Factor> those that the method does not have yet
     */
    private static function factors(Method $method, array $levels): array
    {
        $known = [];
        foreach ($method->factors() as $factor) {
            $known[mb_strtolower($factor->name)] = $factor;
        }
        $out = [];
        foreach ($levels as $i => $level) {
            $name = mb_strtolower(trim($level->name));
            $same = $known[$name] ?? null;
            if ($same !== null && ($same->unit === '' || !Units::parse($same->unit)->dimension->equals(Units::parse($level->unit)->dimension))) {
                throw Invalid::at(sprintf('taken[%d].name', $i), sprintf('“%s” is something else on this method.', trim($level->name)));
            }
            if ($same === null) {
                $known[$name] = $out[] = new Factor(trim($level->name), kind: FactorKind::Number, unit: trim($level->unit));
            }
        }

        return $out;
    }

    /**
     * @param array<int, TakenUp> $results
     *
     * @return list<Record<covariant RecordInput>>
     */
    private function readings(Run $run, array $results): array
    {
        $out = [];
        foreach ($results as $i => $result) {
            foreach ($run->configuration()->channels as $channel) {
                if (mb_strtolower($this->metric($channel)) !== mb_strtolower(trim($result->name))) {
                    continue;
                }
                if ($this->records->all(Reading::class, ['run' => $run, 'channel' => $channel->key]) !== []) {
                    throw Invalid::at(
                        sprintf('taken[%d].name', $i), sprintf('“%s” was read on this run already: amend it there.', trim($result->name)),
                    );
                }
                try {
                    $out[] = $this->writer->make(
                        Reading::class, Uuid::v7(), new ReadingInput($run->id()->toRfc4122(), $channel->key, trim($result->text), MethodWords::takenUp()),
                    );
                } catch (CoreException|Invalid $wrong) {
                    throw Invalid::at(sprintf('taken[%d].text', $i), $wrong->getMessage());
                }
                break;
            }
        }

        return $out;
    }

    /**
     * @param array<int, TakenUp> $results
     *
     * @return list<Record<covariant RecordInput>>
     */
    private function requirements(Run $run, array $results): array
    {
        $device = $run->trial()->revision()->device();
        $place = count($this->records->all(Requirement::class, ['device' => $device]));
        $out = [];
        foreach ($results as $i => $result) {
            $direction = Direction::tryFrom($result->direction);
            if ($direction === null) {
                continue;
            }
            $limit = $result->limit ?? throw Invalid::at(sprintf('taken[%d].limit', $i), 'Which limit?');
            $out[] = $this->writer->make(Requirement::class, Uuid::v7(), new RequirementInput(
                $device->id()->toRfc4122(), MethodWords::wanted(trim($result->name), $direction === Direction::AtLeast, Digits::short($limit), $result->unit),
                trim($result->name), trim($result->unit), $limit, $direction, place: $place++,
            ));
        }

        return $out;
    }

    /** @param list<string> $taken */
    private static function key(string $name, array $taken): string
    {
        $words = preg_split('/[^a-z0-9]+/', (string) iconv('UTF-8', 'ASCII//TRANSLIT//IGNORE', $name), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        $key = lcfirst(implode('', array_map(ucfirst(...), $words)));
        $key = substr(preg_match('/^[a-z]/', $key) === 1 ? $key : 'r'.$key, 0, 36);
        $numbered = $key;
        for ($n = 2; in_array($numbered, $taken, true); ++$n) {
            $numbered = $key.$n;
        }

        return $numbered;
    }
}
