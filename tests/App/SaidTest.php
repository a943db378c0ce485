<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use Lustrum\Core\Outcome\ResultKind;
use Lustrum\Facts\RunFacts;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Uid\Uuid;

/** Readings as people have them: about a value, a range, a bound, a word of a scale, a number without its unit. */
final class SaidTest extends ApiTestCase
{
    private Bench $bench;

    private string $run;

    protected function setUp(): void
    {
        parent::setUp();
        $this->bench = $this->bench();
        $trial = $this->put('trials', ['revision' => $this->bench->b, 'method' => $this->bench->method, 'name' => 'Said']);
        $this->run = $this->put('runs', ['trial' => $trial, 'article' => $this->bench->unitB]);
    }

    /** @return iterable<string, array{string, string, string, float, float|null}> typed, shown, bound, value, uncertainty */
    public static function said(): iterable
    {
        yield 'about' => ['about 40', 'about 40 N', '', 40.0, 4.0];
        yield 'with an uncertainty' => ['40.0 ± 0.3 N', '40.0 ± 0.3 N', '', 40.0, 0.3];
        yield 'a range' => ['39-41 N', '39-41 N', '', 40.0, 2 / sqrt(12)];
        yield 'less than' => ['< 40', '< 40 N', 'atMost', 40.0, null];
        yield 'in words' => ['at least 40 N', 'at least 40 N', 'atLeast', 40.0, null];
        yield 'plain' => ['40.0 N', '40.0 N', '', 40.0, null];
    }

    #[DataProvider('said')]
    public function testItIsKeptAsItWasSaid(string $typed, string $shown, string $bound, float $value, ?float $u): void
    {
        $preview = $this->json('POST', '/api/readings/preview', [
            'run' => $this->run, 'channel' => 'push', 'text' => $typed, 'unit' => 'N',
        ]);
        self::assertSame($bound !== '' || $u !== null, $preview['taken'] !== '');
        $id = $this->read($typed);
        $view = (array) self::at($this->json('GET', '/api/runs/'.$this->run), 'readings', 0);
        self::assertSame([$id, $shown, $shown], [$view['id'], self::text($view, 'typed', 'text'), self::text($view, 'current', 'text')]);
        self::assertSame($bound, $view['bound']);
        self::assertEqualsWithDelta($u ?? -1.0, (float) (is_numeric($view['u']) ? $view['u'] : -1.0), 1e-9);
        $fact = self::service(RunFacts::class)->one($this->run)?->readings[0];
        self::assertNotNull($fact);
        self::assertEqualsWithDelta($value, $fact->si, 1e-9);
        self::assertSame($bound === '' ? ResultKind::Equal : ResultKind::from($bound), $fact->kind);
        self::assertGreaterThanOrEqual($u ?? 0.0, $fact->step + 1e-12, 'Nothing finer can be told of it.');
    }

    public function testTheStepIsTheInstruments(): void
    {
        $this->read('40');
        self::assertSame(0.1, self::service(RunFacts::class)->one($this->run)?->readings[0]->step, 'Somebody left the nought out.');
    }

    public function testANumberWhoseUnitNobodyKnowsIsKeptAndUsedForNothing(): void
    {
        $body = ['run' => $this->run, 'channel' => 'push', 'text' => '4.2', 'unit' => '', 'undecided' => true];
        $preview = $this->json('POST', '/api/readings/preview', $body);
        self::assertStringStartsWith('Kept, and used for nothing until somebody decides: 4.2 N, ', self::text($preview, 'taken'));
        $id = $this->put('readings', $body);
        $view = (array) self::at($this->json('GET', '/api/runs/'.$this->run), 'readings', 0);
        self::assertSame([true, '4.2 (unit not known)'], [$view['undecided'], self::text($view, 'current', 'text')]);
        self::assertContains('4.2 kgf = 41.2 N', array_column((array) $view['choices'], 'sentence'));
        self::assertSame([], self::service(RunFacts::class)->one($this->run)?->readings, 'It is no value of anything.');
        $this->json('POST', '/api/readings/'.$id.'/amend', ['text' => '4.2 kg', 'reason' => 'The scale said so', 'version' => 1]);
        self::assertSame(422, $this->answered(), 'A mass is no force.');
        $this->json('POST', '/api/readings/'.$id.'/amend', ['text' => '4.2 kgf', 'reason' => 'The scale said so', 'version' => 1]);
        $view = (array) self::at($this->json('GET', '/api/runs/'.$this->run), 'readings', 0);
        self::assertSame([false, [], '4.2 kgf'], [$view['undecided'], $view['choices'], self::text($view, 'current', 'text')]);
        self::assertSame('4.2 (unit not known)', self::text($view, 'typed', 'text'), 'What was typed first stays.');
        self::assertEqualsWithDelta(41.2, self::service(RunFacts::class)->one($this->run)?->readings[0]->si, 0.05);
        $this->again(fn (array $reading) => [
            $reading['undecided'], self::at($reading, 'typed', 'unit'), self::at($reading, 'current', 'unit'),
        ]);
    }

    public function testAnUndecidedReadingGoesIntoADeviceFile(): void
    {
        $this->put('readings', ['run' => $this->run, 'channel' => 'push', 'text' => '4.2', 'undecided' => true]);
        $this->again(fn (array $reading) => [$reading['undecided'], self::at($reading, 'typed', 'unit'), self::at($reading, 'said')]);
    }

    /** Words of a scale stay words: on Try, on Weigh, in what came of a change; they have no mean, no per cent, no distance. */
    public function testWordsStayWordsEverywhere(): void
    {
        $words = ['faint', 'dim', 'bright'];
        $method = $this->method($words);
        foreach ([$this->bench->a => $this->bench->unitA, $this->bench->b => $this->bench->unitB] as $build => $unit) {
            $isB = $build === $this->bench->b;
            $trial = $this->put('trials', ['revision' => $build, 'method' => $method, 'name' => 'By hand', 'plannedRuns' => 5]);
            foreach ($isB ? ['bright', 'bright', 'dim', 'bright', 'bright'] : ['faint', 'dim', 'faint', 'faint', 'dim'] as $word) {
                $run = $this->put('runs', ['trial' => $trial, 'article' => $unit]);
                $this->put('readings', ['run' => $run, 'channel' => 'feel', 'text' => $word]);
                $this->json('PUT', '/api/runs/'.$run, ['trial' => $trial, 'article' => $unit, 'outcome' => 'held', 'version' => 1]);
            }
        }
        $this->put('changes', [
            'revision' => $this->bench->b, 'what' => 'Another lamp', 'class' => 'material',
            'effects' => [['metric' => 'feel', 'unit' => '1', 'mode' => 'more']],
        ]);
        $said = fn (string $sheet): string => json_encode(
            $this->json('GET', '/api/revisions/'.$this->bench->b.'/'.$sheet), \JSON_UNESCAPED_UNICODE,
        ) ?: '';
        self::assertStringContainsString('feel “bright” (dim 1, bright 4)', $said('try'));
        $row = (array) array_column((array) $this->json('GET', '/api/revisions/'.$this->bench->b.'/weigh')['comparisons'], null, 'metric')['feel'];
        self::assertSame(
            [$words, 'higher', null, null, '“bright” (dim 1, bright 4)'],
            [$row['words'], $row['verdict'], $row['difference'], $row['change'], self::text($row, 'here', 'text')],
        );
        self::assertSame(
            'Feel on B: “bright” (dim 1, bright 4), against “faint” (faint 3, dim 2) on A; higher by order (p = 0.024), over 5 and 5 runs;'
            .' another lot of sheet (P-1, then P-2).',
            $row['sentence'],
        );
        $change = (array) self::at($this->json('GET', '/api/revisions/'.$this->bench->b.'/build'), 'changes', 0);
        self::assertSame('better', $change['computed']);
        self::assertStringContainsString('“bright” (dim 1, bright 4), before “faint” (faint 3, dim 2)', self::text($change, 'sentence'));
        foreach (['build', 'try', 'weigh', 'next', 'field'] as $sheet) {
            self::assertDoesNotMatchRegularExpression('/(?<![\d.:])2\.8(?!\d)/', $said($sheet), 'No mean of words on '.$sheet);
        }
        $asked = ['device' => $this->bench->device, 'statement' => 'Seen from afar', 'metric' => 'feel', 'unit' => '1', 'direction' => 'atLeast'];
        $this->json('PUT', '/api/requirements/'.Uuid::v7(), ['kind' => 'mean', 'limit' => 2.0] + $asked);
        self::assertSame(422, $this->answered(), 'Words have no mean.');
        $this->json('PUT', '/api/requirements/'.Uuid::v7(), ['kind' => 'every', 'limit' => 4.0] + $asked);
        self::assertSame(422, $this->answered(), 'There is no fourth word.');
        $this->put('requirements', ['kind' => 'every', 'limit' => 2.0] + $asked);
        self::assertStringContainsString('at least “dim”', $said('weigh'));
    }

    public function testOnlyTheNumberAloneHasNoUnit(): void
    {
        $this->json('PUT', '/api/readings/'.Uuid::v7(), [
            'run' => $this->run, 'channel' => 'push', 'text' => '4.2 kgf', 'undecided' => true,
        ]);
        self::assertSame(422, $this->answered());
    }

    public function testAWordOfAScaleIsAReading(): void
    {
        $run = $this->rated(['soft', 'medium', 'hard']);
        $asked = (array) self::at($this->json('GET', '/api/runs/'.$run), 'asked', 'channels', 0);
        self::assertSame(['soft', 'medium', 'hard'], $asked['words']);
        $this->json('PUT', '/api/readings/'.Uuid::v7(), ['run' => $run, 'channel' => 'feel', 'text' => 'tough']);
        self::assertSame([422, 'One of: soft, medium, hard.'], [$this->answered(), self::text($this->json('PUT', '/api/readings/'.Uuid::v7(), [
            'run' => $run, 'channel' => 'feel', 'text' => 'tough',
        ]), 'violations', 0, 'message')]);
        $this->put('readings', ['run' => $run, 'channel' => 'feel', 'text' => 'Medium']);
        $view = (array) self::at($this->json('GET', '/api/runs/'.$run), 'readings', 0);
        self::assertSame('medium', self::text($view, 'current', 'text'));
        self::assertSame(2.0, self::service(RunFacts::class)->one($run)?->readings[0]->si, 'Its place, the lowest first.');
        $this->again(fn (array $reading) => [self::at($reading, 'said'), self::at($reading, 'current', 'value')]);
    }

    /**
     * A run of a method that is read on a scale of words.
     *
     * @param list<string> $words
     */
    private function rated(array $words): string
    {
        $trial = $this->put('trials', ['revision' => $this->bench->b, 'method' => $this->method($words), 'name' => 'By hand']);

        return $this->put('runs', ['trial' => $trial, 'article' => $this->bench->unitB]);
    }

    /** @param list<string> $words of the scale that it reads */
    private function method(array $words): string
    {
        $method = $this->put('methods', [
            'device' => $this->bench->device, 'name' => 'Feel', 'channels' => [['key' => 'feel', 'metric' => 'feel', 'unit' => '1']],
            'safety' => ['abort' => 'When it hurts.'],
        ]);
        foreach ((array) $this->json('GET', '/api/devices/'.$this->bench->device.'/brief')['measured'] as $metric) {
            if (is_array($metric) && $metric['name'] === 'feel') {
                $this->json('PUT', '/api/metrics/'.self::text($metric, 'id'), [
                    'device' => $this->bench->device, 'name' => 'feel', 'scale' => 'ordered', 'words' => $words,
                    'version' => $metric['version'],
                ]);
                self::assertSame(200, $this->answered());
            }
        }

        return $method;
    }

    /**
     * The readings are the same after a way through a device file.
     *
     * @param callable(array<array-key, mixed>): list<mixed> $of
     */
    private function again(callable $of): void
    {
        $read = function (string $device): array {
            $this->client->request('GET', '/api/devices/'.$device.'/export.json');
            $file = json_decode((string) $this->client->getInternalResponse()->getContent(), true);

            return is_array($file) ? $file : [];
        };
        $file = $read($this->bench->device);
        $back = $this->json('POST', '/api/workspaces/'.$this->workspace.'/import', $file);
        self::assertSame(201, $this->answered(), json_encode($back) ?: '');
        $rows = static fn (array $file): array => array_map(
            static fn (mixed $r): array => $of((array) $r), array_values((array) $file['readings']),
        );
        self::assertNotSame([], $rows($file));
        self::assertSame($rows($file), $rows($read(self::text($back, 'device'))));
    }

    public function testABoundIsNoValueAnywhere(): void
    {
        $this->read('> 39.0 N');
        $this->json('PUT', '/api/runs/'.$this->run, [
            'trial' => self::text($this->json('GET', '/api/runs/'.$this->run), 'run', 'trial'), 'article' => $this->bench->unitB,
            'outcome' => 'held', 'version' => 1,
        ]);
        self::assertSame(200, $this->answered());
        $cell = (array) self::at($this->json('GET', '/api/revisions/'.$this->bench->b.'/weigh'), 'cells', 1);
        self::assertNotSame('thin', $cell['state'] ?? '', 'A lower bound of 39 N says nothing of at most 45 N, or something else is read.');
        self::assertStringNotContainsString('39 N over 1 run', self::text($cell, 'sentence'));
    }

    public function testAmendedItIsSaidAnew(): void
    {
        $id = $this->read('about 40');
        $this->json('POST', '/api/readings/'.$id.'/amend', ['text' => '41.2 N', 'reason' => 'Read off the film', 'version' => 1]);
        self::assertSame(200, $this->answered());
        $view = (array) self::at($this->json('GET', '/api/runs/'.$this->run), 'readings', 0);
        self::assertSame(['about 40 N', '41.2 N', null], [
            self::text($view, 'typed', 'text'), self::text($view, 'current', 'text'), $view['u'],
        ]);
    }

    public function testItTravels(): void
    {
        $this->read('< 40');
        $this->client->request('GET', '/api/devices/'.$this->bench->device.'/export.json');
        $file = (array) json_decode($this->client->getInternalResponse()->getContent(), true, 64, JSON_THROW_ON_ERROR);
        $readings = (array) $file['readings'];
        $reading = (array) end($readings);
        self::assertSame(['< 40 N', '< 40 N', 'atMost'], [$reading['said'], $reading['typedSaid'], $reading['bound']]);
        $this->client->request('GET', '/api/devices/'.$this->bench->device.'/readings.csv');
        self::assertStringContainsString('< 40 N,atMost,', $this->client->getInternalResponse()->getContent());
    }

    public function testWhatNobodyKnowsIsLeftEmpty(): void
    {
        $answer = $this->json('POST', '/api/readings/preview', [
            'run' => $this->run, 'channel' => 'push', 'text' => 'unknown', 'unit' => 'N',
        ]);
        self::assertSame(422, $this->answered());
        self::assertStringContainsString('leave it empty', json_encode($answer) ?: '');
    }

    private function read(string $text): string
    {
        return $this->put('readings', [
            'run' => $this->run, 'channel' => 'push', 'text' => $text, 'unit' => 'N', 'confirmed' => 'in a test',
        ]);
    }

    /** Forty-one pounds at one metre is no slip where it was that at one metre all along, whatever it was at two. */
    public function testASlipIsLookedForAmongRunsThatAreAlike(): void
    {
        $method = $this->put('methods', [
            'device' => $this->bench->device, 'name' => 'At a distance', 'safety' => ['abort' => 'When it hurts.'],
            'channels' => [['key' => 'pull', 'metric' => 'pull', 'unit' => 'N']],
            'factors' => [['name' => 'distance', 'kind' => 'number', 'unit' => 'm']],
        ]);
        $trial = $this->put('trials', ['revision' => $this->bench->b, 'method' => $method, 'name' => 'Distances']);
        $at = fn (string $distance): string => $this->put('runs', [
            'trial' => $trial, 'article' => $this->bench->unitB, 'levels' => [['name' => 'distance', 'text' => $distance]],
        ]);
        foreach (['1 m' => 10.0, '2 m' => 98.1] as $distance => $newton) {
            foreach ([0.0, 0.1, -0.1, 0.2] as $more) {
                $this->put('readings', [
                    'run' => $at($distance), 'channel' => 'pull', 'text' => sprintf('%.1f N', $newton + $more), 'confirmed' => 'in a test',
                ]);
            }
        }
        $ask = fn (string $distance, string $text): array => (array) $this->json(
            'POST', '/api/readings/preview', ['run' => $at($distance), 'channel' => 'pull', 'text' => $text],
        )['questions'];
        self::assertSame([], $ask('1 m', '10.1 N'), 'As at one metre always.');
        self::assertNotSame([], $ask('2 m', '10.1 N'), 'At two metres it looks like kgf typed as N.');
    }
}
