<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use Lustrum\Core\Run\Purpose;
use Lustrum\Core\Run\RunOutcome;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Two hundred runs of every kind, and what each sheet counts of them: all the same. */
final class CountsTest extends ApiTestCase
{
    private const RUNS = 200;

    public function testEverySheetCountsTheSameRuns(): void
    {
        $chance = new Randomizer(new Mt19937(20261201));
        $device = $this->put('devices', ['workspace' => $this->workspace, 'name' => 'Wagtail']);
        $this->put('requirements', [
            'device' => $device, 'statement' => 'Light to push', 'metric' => 'push force', 'unit' => 'N', 'limit' => 45.0, 'direction' => 'atMost',
        ]);
        $method = $this->put('methods', [
            'device' => $device, 'name' => 'Push', 'heldWhen' => 'The row is closed.',
            'channels' => [['key' => 'push', 'metric' => 'push force', 'unit' => 'N', 'low' => 5, 'high' => 200, 'whenStopped' => 'atLeast']],
            'questions' => [['key' => 'closed', 'metric' => 'row closed', 'text' => 'Is the row closed?']],
            'safety' => ['abort' => 'When it hurts.'],
        ]);
        $a = $this->put('revisions', ['device' => $device, 'letter' => 'A']);
        $article = $this->put('articles', ['revision' => $a, 'serial' => 'U-1']);
        $trial = $this->put('trials', ['revision' => $a, 'method' => $method, 'name' => 'Pushing', 'plannedRuns' => self::RUNS]);
        $n = [];
        $openRigs = 0;
        $last = '';
        $purposes = [...array_fill(0, 7, Purpose::FindOut), ...Purpose::cases()];
        for ($i = 0; $i < self::RUNS; ++$i) {
            $purpose = $purposes[$chance->getInt(0, count($purposes) - 1)];
            $outcome = [null, ...RunOutcome::cases(), RunOutcome::Held, RunOutcome::Held, RunOutcome::Failed][$chance->getInt(0, 8)];
            $aside = $chance->getInt(0, 6) === 0 ? 'The rig stood askew' : '';
            $unit = $purpose === Purpose::Empty ? null : $article;
            $run = $this->put('runs', ['trial' => $trial, 'article' => $unit, 'purpose' => $purpose->value]);
            self::assertSame(201, $this->answered(), $purpose->value);
            if ($outcome !== null) {
                $this->put('readings', ['run' => $run, 'channel' => 'push', 'text' => sprintf('%.1f N', 38 + $chance->getInt(0, 40) / 10), 'confirmed' => 'in a test']);
                $said = $this->json('PUT', '/api/runs/'.$run, [
                    'trial' => $trial, 'article' => $unit, 'purpose' => $purpose->value, 'outcome' => $outcome->value, 'outcomeReason' => 'So it went',
                    'setAside' => $aside, 'version' => 1,
                ]);
                self::assertSame(200, $this->answered(), json_encode($said) ?: '');
            }
            $n[] = self::is($purpose, $outcome, $aside);
            $openRigs += $outcome === null && $n[$i] === 'rig' ? 1 : 0;
            $last = $run;
        }
        $of = static fn (string ...$as): int => count(array_filter($n, static fn (string $is): bool => in_array($is, $as, true)));
        [$held, $failed, $stopped] = [$of('held'), $of('failed'), $of('stoppedEarly')];
        $beside = sprintf(
            '%d that only wore it, %d to practise, %d set aside, %d lost in handling, %d void, %d unfinished', $of('wear'), $of('practice'),
            $of('aside'), $of('lost'), $of('void'), $of('open'),
        );
        $all = count($n) - $of('rig');
        $results = $held + $failed + $stopped;
        self::assertGreaterThan(0, min($held, $failed, $stopped, $of('wear'), $of('practice'), $of('aside'), $of('lost'), $of('void'), $of('rig')));

        $try = $this->json('GET', '/api/revisions/'.$a.'/try');
        self::assertSame(
            "Build A: $all runs in 1 trial, $held held, $failed failed, $stopped stopped early, $beside.", self::text($try, 'sentence'),
        );
        self::assertSame("$results of 200 runs, $beside", self::text($try, 'trials', 0, 'count'));
        $said = json_encode(self::at($try, 'trials', 0, 'results'), \JSON_THROW_ON_ERROR);
        self::assertStringContainsString(sprintf('held %d of %d;', $held, $held + $failed), $said);
        self::assertStringContainsString(sprintf('], and %d bounds', $stopped), $said);
        self::assertStringContainsString($of('aside').' runs set aside', $said);

        $weigh = $this->json('GET', '/api/revisions/'.$a.'/weigh');
        $cell = (array) self::at($weigh, 'cells', 0);
        self::assertSame(
            [$held + $failed, $stopped, $of('lost'), $results + $of('lost')], [$cell['n'], $cell['bounds'], $cell['lost'], $cell['runs']],
        );
        self::assertStringContainsString("So far $results of 200 runs that were planned", self::text($weigh, 'cells', 0, 'sentence'));
        self::assertStringContainsString(
            sprintf('held %d of %d', $held, $held + $failed), self::text($weigh, 'outcomes', 0, 'sentence'),
        );

        self::assertSame($all, self::at($this->json('GET', '/api/revisions/'.$a.'/field'), 'trials', 0, 'runs'));
        self::assertStringContainsString("$results of 200", self::text($this->json('GET', '/api/runs/'.$last), 'console', 'enough'));

        $find = $this->json('GET', '/api/revisions/'.$a.'/find');
        self::assertSame("$failed runs failed and nobody wrote down how.", self::text($find, 'sentence'));
        self::assertStringContainsString("failed in $failed runs", self::text($find, 'unrecorded', 0, 'sentence'));

        // A forecast starts from the same values, and the first sentence of Weigh counts them when another build stands beside it.
        $this->put('candidates', [
            'revision' => $a, 'what' => 'Wider wheel', 'class' => 'shape', 'choice' => 'in', 'reason' => 'Lighter',
            'effects' => [['metric' => 'push force', 'unit' => 'N', 'low' => -3.0, 'likely' => -2.0, 'high' => -1.0]],
        ]);
        $next = json_encode($this->json('GET', '/api/revisions/'.$a.'/next')['consequences'], \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE);
        self::assertStringContainsString(sprintf('now (%d runs', $held + $failed), $next);
        $b = $this->put('revisions', ['device' => $device, 'letter' => 'B', 'parent' => $a]);
        $other = $this->put('articles', ['revision' => $b, 'serial' => 'U-2']);
        $trial = $this->put('trials', ['revision' => $b, 'method' => $method, 'name' => 'Pushing', 'plannedRuns' => 2]);
        foreach (['held', 'held', 'void'] as $outcome) {
            $run = $this->put('runs', ['trial' => $trial, 'article' => $other]);
            $this->put('readings', ['run' => $run, 'channel' => 'push', 'text' => $outcome === 'void' ? '90.0 N' : '39.0 N', 'confirmed' => 'in a test']);
            $this->json('PUT', '/api/runs/'.$run, [
                'trial' => $trial, 'article' => $other, 'outcome' => $outcome, 'outcomeReason' => 'So it went', 'version' => 1,
            ]);
        }
        $c = (array) self::at($this->json('GET', '/api/revisions/'.$b.'/weigh'), 'comparisons', 0);
        self::assertSame([2, $held + $failed], [$c['n'], $c['otherN']]);
        self::assertStringContainsString(sprintf('A: %d runs and %d bounds', $held + $failed, $stopped), self::text($c, 'otherText'));

        // The file says of each reading what its run counts for, those of B too.
        $lines = array_map(str_getcsv(...), array_filter(explode("\r\n", $this->csv($device))));
        $at = array_search('counts_for', $lines[0], true);
        $told = array_count_values(array_map(static fn (array $l): string => (string) $l[$at], array_slice($lines, 1)));
        self::assertSame([$results + 2, $of('aside'), $of('rig') - $openRigs], [$told['result'] ?? 0, $told['set aside'] ?? 0, $told['rig'] ?? 0]);
    }

    private function csv(string $device): string
    {
        $this->client->request('GET', '/api/devices/'.$device.'/readings.csv');

        return $this->client->getInternalResponse()->getContent();
    }

    /** What a run counts for, written down once more, by hand. */
    private static function is(Purpose $purpose, ?RunOutcome $outcome, string $aside): string
    {
        return match (true) {
            in_array($purpose, [Purpose::Reference, Purpose::Empty], true) => 'rig',
            $outcome === null => 'open',
            in_array($outcome, [RunOutcome::Lost, RunOutcome::Void], true) => $outcome->value,
            $aside !== '' => 'aside',
            $purpose === Purpose::Practise => 'practice',
            $purpose !== Purpose::FindOut => 'wear',
            default => $outcome->value,
        };
    }
}
