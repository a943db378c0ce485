<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

/** What many records have in common is put right at once: readings in a wrong unit, two words for one failure. */
final class TogetherTest extends ApiTestCase
{
    private Bench $bench;

    protected function setUp(): void
    {
        parent::setUp();
        $this->bench = $this->bench();
    }

    public function testReadingsOfATrialWereInAnotherUnit(): void
    {
        $trial = $this->trial($this->bench, $this->bench->b, $this->bench->unitB, [40.0, 41.0, 42.0]);
        $other = $this->trial($this->bench, $this->bench->b, $this->bench->unitB, [40.0]);
        $address = '/api/revisions/'.$this->bench->b.'/readings/together';
        $all = ['trial' => $trial, 'channel' => 'push', 'instrument' => 'Cell', 'unit' => 'lbf'];
        $look = $this->json('POST', $address, $all);
        self::assertSame(200, $this->answered(), json_encode($look) ?: '');
        self::assertStringContainsString('3 readings would be amended', self::text($look, 'sentence'));
        self::assertSame(['40.0 N', '40.0 lbf'], [self::text($look, 'rows', 0, 'was'), self::text($look, 'rows', 0, 'becomes')]);
        self::assertCount(3, (array) $look['rows']);
        self::assertSame('41.0 N', self::text($this->json('POST', $address, $all), 'rows', 1, 'was'), 'Nothing was changed yet.');

        $ids = [self::text($look, 'rows', 0, 'id'), self::text($look, 'rows', 2, 'id')];
        $this->json('POST', $address, ['only' => $ids, 'isTry' => false] + $all);
        self::assertSame(422, $this->answered(), 'Nobody said why.');
        $done = $this->json('POST', $address, ['only' => $ids, 'isTry' => false, 'reason' => 'The cell showed lbf'] + $all);
        self::assertSame(200, $this->answered(), json_encode($done) ?: '');
        self::assertStringContainsString('2 readings were amended', self::text($done, 'sentence'));
        $after = $this->json('POST', $address, $all);
        self::assertSame(['40.0 lbf', '41.0 N', '42.0 lbf'], array_map(
            static fn (mixed $r): string => self::text((array) $r, 'was'), (array) $after['rows'],
        ));
        $rest = $this->json('POST', $address, ['trial' => $other] + $all);
        self::assertSame('40.0 N', self::text($rest, 'rows', 0, 'was'), 'Another trial is left alone.');
        $trials = array_column(array_map(
            static fn (mixed $t): array => [
                'id' => self::text((array) $t, 'trial', 'id'), 'run' => self::text((array) $t, 'runs', 0, 'id'),
            ],
            (array) $this->json('GET', '/api/revisions/'.$this->bench->b.'/try')['trials'],
        ), 'run', 'id');
        $run = $trials[$trial];
        $reading = (array) self::at($this->json('GET', '/api/runs/'.$run), 'readings', 0);
        self::assertSame(['40.0 N', 'The cell showed lbf'], [
            self::text($reading, 'typed', 'text'), self::text($reading, 'amendments', 0, 'reason'),
        ]);
    }

    public function testAllWereOffByAsMuch(): void
    {
        $this->trial($this->bench, $this->bench->b, $this->bench->unitB, [40.0, 41.0]);
        $address = '/api/revisions/'.$this->bench->b.'/readings/together';
        $this->json('POST', $address, ['add' => '-0.5 N', 'reason' => 'It was not set to nought', 'isTry' => false]);
        self::assertSame(200, $this->answered());
        $rows = (array) $this->json('POST', $address, ['unit' => 'N'])['rows'];
        self::assertSame(['39.5 N', '40.5 N'], array_map(static fn (mixed $r): string => self::text((array) $r, 'was'), $rows));
    }

    public function testWhatCannotBeIsRefusedAndNothingChanges(): void
    {
        $this->trial($this->bench, $this->bench->b, $this->bench->unitB, [40.0, 41.0]);
        $address = '/api/revisions/'.$this->bench->b.'/readings/together';
        foreach ([[], ['unit' => 'kg'], ['add' => '3 mm'], ['unit' => 'N', 'add' => '3 N'], ['unit' => 'N', 'channel' => 'other'], ['unit' => 'N', 'day' => '1999-01-01']] as $wrong) {
            $this->json('POST', $address, $wrong + ['isTry' => false, 'reason' => 'x']);
            self::assertSame(422, $this->answered(), json_encode($wrong) ?: '');
        }
        self::assertSame('40.0 N', self::text($this->json('POST', $address, ['unit' => 'N']), 'rows', 0, 'was'));
    }

    public function testModesAreMergedAndSplit(): void
    {
        $made = [];
        foreach (['Arm bent', 'arm bent ', 'Bent arm'] as $mode) {
            $made[] = $this->put('failures', ['revision' => $this->bench->b, 'mode' => $mode, 'consequence' => 'minor']);
        }
        $address = '/api/devices/'.$this->bench->device.'/modes';
        $modes = fn (): array => array_column(
            (array) $this->json('GET', '/api/revisions/'.$this->bench->b.'/find')['modes'], 'total', 'mode',
        );
        self::assertEqualsCanonicalizing([2, 1], array_values($modes()));
        $look = $this->json('POST', $address, ['mode' => 'bent arm', 'to' => 'Arm bent']);
        self::assertSame('1 failure is called “bent arm”.', self::text($look, 'sentence'));
        self::assertEqualsCanonicalizing([2, 1], array_values($modes()), 'Nothing was changed yet.');
        $this->json('POST', $address, ['mode' => 'bent arm', 'to' => 'Arm bent', 'isTry' => false]);
        self::assertSame(200, $this->answered());
        self::assertSame([3], array_values($modes()));

        $split = $this->json('POST', $address, ['mode' => 'Arm bent', 'to' => 'Arm twisted', 'only' => [$made[1]], 'isTry' => false]);
        self::assertStringContainsString('2 stay “Arm bent”', self::text($split, 'sentence'));
        self::assertEqualsCanonicalizing([2, 1], array_values($modes()));
        $history = json_encode($this->json('GET', '/api/history/failure/'.$made[2]), JSON_UNESCAPED_UNICODE) ?: '';
        self::assertStringContainsString('Bent arm', $history, 'What it was called stays.');
        $this->json('POST', $address, ['mode' => 'No such thing', 'to' => 'x', 'isTry' => false]);
        self::assertSame(422, $this->answered());
    }

    public function testAStrangerChangesNothing(): void
    {
        $this->trial($this->bench, $this->bench->b, $this->bench->unitB, [40.0]);
        $this->signIn('viewer@example.test');
        $this->json('POST', '/api/revisions/'.$this->bench->b.'/readings/together', ['unit' => 'N']);
        self::assertContains($this->answered(), [403, 404]);
        $this->json('POST', '/api/devices/'.$this->bench->device.'/modes', ['mode' => 'x', 'to' => 'y', 'isTry' => false]);
        self::assertContains($this->answered(), [403, 404]);
    }
}
