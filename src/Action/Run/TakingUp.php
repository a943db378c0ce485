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
use Lustrum\Domain\Device\Device;
use Lustrum\Domain\Device\Requirement;
use Lustrum\Domain\Device\RequirementInput;
use Lustrum\Domain\Finding\Observation;
use Lustrum\Domain\Finding\ObservationInput;
use Lustrum\Domain\Method\ChannelView;
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
                Observation::class, $id,
                new ObservationInput($run->trial()->revision()->id()->toRfc4122(), trim($text), $run->id()->toRfc4122()),
            );
            $this->em->flush();
            $this->after->written([$observation]);
            $line = Line::read($text);
            $view = $run->trial()->method()->view();
            $results = array_column(
                array_filter($view->channels, static fn (ChannelView $c): bool => $c->formula === ''), 'unit', 'metric',
            );
            $levels = array_column(array_filter($view->factors, static fn (Factor $f): bool => !$f->isBlock()), 'unit', 'name');

            return new SaidView(
                $id->toRfc4122(),
                array_map(static fn (LinePart $p): SaidPart => self::proposed($p, $p->isLevel ? $levels : $results), $line->parts),
                $line->held, $line->words,
            );
        });
    }

    /**
     * What the method has that fits, by name where several do; else something new, called as the line has it.
     *
     * @param array<array-key, string> $units by name
     */
    private static function proposed(LinePart $part, array $units): SaidPart
    {
        $fitting = array_map(strval(...), array_keys(array_filter($units, $part->fits(...))));
        $called = $part->called();
        $same = array_values(array_filter($fitting, static fn (string $n): bool => mb_strtolower($n) === mb_strtolower($called)));
        $name = $same[0] ?? ($part->name === '' || count($fitting) === 1 ? $fitting[0] ?? null : null);

        return new SaidPart($part->text, $part->unit, $name ?? $called, $part->isLevel, $name !== null);
    }

    public function takeUp(Run $run, TakeUpInput $input): RunView
    {
        return $this->em->wrapInTransaction(function () use ($run, $input): RunView {
            $this->writer->oneAtATime($run->id());
            self::mustBeOnce($input->taken);
            $method = $run->trial()->method();
            $results = array_filter($input->taken, static fn (TakenUp $t): bool => !$t->isLevel);
            $levels = array_filter($input->taken, static fn (TakenUp $t): bool => $t->isLevel);
            $this->teach($method, $this->channels($method, $results), self::factors($method, $levels));
            $found = array_map(static fn (TakenUp $l): Found => new Found(trim($l->name), trim($l->text)), array_values($levels));
            $this->writer->amend(Run::class, $run->id(), $run->version(), fn (Run $r) => $r->learned($this->configurations->stored(
                self::with($r->configuration(), $method), $r->belongsTo(),
            ), $found));
            $written = [...$this->readings($run, $results), ...$this->requirements($run, $results)];
            $this->em->flush();
            $this->after->written([$run, ...$written]);

            return $run->view();
        });
    }

    /**
     * A method that has it all stays the version that it is: another one would tilt every comparison.
     *
     * @param list<Channel> $channels
     * @param list<Factor>  $factors
     */
    private function teach(Method $method, array $channels, array $factors): void
    {
        if ($channels !== [] || $factors !== []) {
            $this->writer->amend(
                Method::class, $method->id(), $method->version(), fn (Method $m) => $m->learns($channels, $factors, $this->records),
            );
        }
    }

    /** @param list<TakenUp> $taken */
    private static function mustBeOnce(array $taken): void
    {
        $seen = [];
        foreach ($taken as $i => $one) {
            $name = ($one->isLevel ? 'level ' : 'result ').mb_strtolower(trim($one->name));
            if (isset($seen[$name])) {
                throw self::wrongName($i, '“%s” is there twice, and one run has one of it.', $one);
            }
            $seen[$name] = true;
        }
    }

    /**
     * The same as it was, with what its method asks beside that now. What it was judged by already stays as it was, whatever became
     * of the method since; what it learns is no other edition.
     */
    private static function with(Configuration $made, Method $method): Configuration
    {
        $channels = array_column($made->channels, null, 'key') + array_column($method->channels(), null, 'key');
        $factors = array_column($made->factors, null, 'name') + array_column($method->factors(), null, 'name');

        return Configuration::fromRow(Row::json(json_encode([
            'channels' => array_values($channels), 'factors' => array_values($factors),
        ], \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION)) + $made->toRow());
    }

    /**
     * @param array<int, TakenUp> $results
     *
     * @return list<Channel> those that the method does not have yet
     */
    private function channels(Method $method, array $results): array
    {
        $keys = array_map(static fn (Channel $c): string => $c->key, $method->channels());
        $out = [];
        foreach ($results as $i => $result) {
            $same = self::channelOf($method->channels(), $result, $method->device());
            if ($same !== null && !Units::fit($same->unit, $result->unit)) {
                throw self::wrongName($i, '“%s” is read in '.$same->unit.' already.', $result);
            }
            if ($same === null) {
                $keys[] = $key = self::key(mb_strtolower(trim($result->name)), $keys);
                $out[] = new Channel($key, trim($result->name), trim($result->unit));
            }
        }

        return $out;
    }

    /** @param list<Channel> $channels */
    private static function channelOf(array $channels, TakenUp $result, Device $device): ?Channel
    {
        $metric = $device->metricCalled($result->name)?->id()->toRfc4122();

        return $metric === null ? null : array_column($channels, null, 'metric')[$metric] ?? null;
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
            $same = $known[mb_strtolower(trim($level->name))] ?? null;
            if ($same !== null && !Units::fit($same->unit, $level->unit)) {
                throw self::wrongName($i, '“%s” is something else on this method.', $level);
            }
            if ($same === null) {
                $out[] = new Factor(trim($level->name), kind: FactorKind::Number, unit: trim($level->unit));
            }
        }

        return $out;
    }

    /**
     * Looked at as any reading is: one that is odd is asked back, until somebody confirms it.
     *
     * @param array<int, TakenUp> $results
     *
     * @return list<Record<covariant RecordInput>>
     */
    private function readings(Run $run, array $results): array
    {
        $read = [];
        foreach ($results === [] ? [] : $this->records->all(Reading::class, ['run' => $run]) as $reading) {
            $read[$reading->view()->channel] = true;
        }
        $out = [];
        foreach ($results as $i => $result) {
            $channel = self::channelOf($run->configuration()->channels, $result, $run->trial()->method()->device())
                ?? throw new \LogicException('The run was just taught what was taken up.');
            if (isset($read[$channel->key])) {
                throw self::wrongName($i, '“%s” was read on this run already: amend it there.', $result);
            }
            try {
                $out[] = $this->writer->make(
                    Reading::class, Uuid::v7(),
                    new ReadingInput($run->id()->toRfc4122(), $channel->key, trim($result->text), $result->confirmed),
                );
            } catch (CoreException|Invalid $wrong) {
                throw Invalid::at(sprintf('taken[%d].text', $i), $wrong->getMessage());
            }
        }

        return $out;
    }

    /** @param string $sentence with a place for the name */
    private static function wrongName(int $i, string $sentence, TakenUp $one): Invalid
    {
        return Invalid::at(sprintf('taken[%d].name', $i), sprintf($sentence, trim($one->name)));
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
                $device->id()->toRfc4122(),
                MethodWords::wanted(trim($result->name), $direction === Direction::AtLeast, Digits::short($limit), $result->unit),
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
