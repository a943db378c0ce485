<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use Doctrine\DBAL\Connection;
use Lustrum\Account\Role;

final class ExchangeTest extends ApiTestCase
{
    public function testOutAndInWithNothingLost(): void
    {
        $file = $this->demo('rook');
        $first = $this->import($file);
        $out = $this->export($first);
        $this->newWorkspace('Elsewhere', ['other@example.test' => Role::Lead]);
        $this->signIn('other@example.test');
        $elsewhere = self::text($this->json('GET', '/api/session'), 'workspaces', 0, 'id');
        $answer = $this->json('POST', '/api/workspaces/'.$elsewhere.'/import', $out);
        self::assertSame(201, $this->answered(), json_encode($answer) ?: '');
        $again = $this->export(self::text($answer, 'device'));
        self::assertSame(self::anonymous($out), self::anonymous($again));
        self::assertCount(count((array) $file['runs']), (array) $again['runs']);
        self::assertSame('12 mph', self::text($again, 'runs', 9, 'conditions', 0, 'text'));
        self::assertSame('Yusuf Brandt', self::text($again, 'runs', 0, 'origin', 'createdBy'));
        self::assertNotSame(self::at($out, 'device', 'id'), self::at($again, 'device', 'id'));
    }

    public function testAmendmentsDecisionsAndWithdrawnThingsTravelToo(): void
    {
        $file = $this->demo('wren');
        $device = $this->import($file);
        $out = $this->export($device);
        foreach (['runs', 'readings', 'failures', 'causes', 'decisions', 'candidates', 'parameters', 'parts', 'articles'] as $list) {
            self::assertCount(count((array) $file[$list]), (array) $out[$list], $list);
        }
        $amended = array_values(
            array_filter((array) $out['readings'], static fn (mixed $r): bool => is_array($r) && $r['amendments'] !== []),
        );
        self::assertCount(1, $amended);
        self::assertSame(
            ['4.1 N', '40.2 N'], [self::text((array) $amended[0], 'typed', 'text'), self::text((array) $amended[0], 'current', 'text')],
        );
        $this->client->request('GET', '/api/devices/'.$device.'/readings.csv');
        $lines = explode("\r\n", trim($this->client->getInternalResponse()->getContent()));
        self::assertCount(count((array) $file['readings']) + 1, $lines);
        self::assertStringContainsString(',lbf,[lbf_av],', implode("\n", $lines));
    }

    /** The stories that the tour of the demo promises must be there to be found. */
    public function testTheStoriesOfTheDemoAreThere(): void
    {
        $device = $this->import($this->demo('wren'));
        $frame = $this->json('GET', '/api/devices/'.$device.'/frame');
        $ids = [];
        foreach ((array) $frame['spine'] as $tag) {
            $ids[self::text((array) $tag, 'revision', 'letter')] = self::text((array) $tag, 'revision', 'id');
        }
        self::assertSame('5 of 12 shown', self::text($frame, 'spine', 0, 'evidence'));
        $words = fn (string $letter, string $station): string => json_encode(
            $this->json('GET', '/api/revisions/'.$ids[$letter].'/'.$station), JSON_UNESCAPED_UNICODE,
        ) ?: '';
        self::assertStringContainsString('so far this trial does not tell them apart; up to 32 points could hide', $words('F', 'build'));
        self::assertStringContainsString('Seen again on F, which carries no fix of it', $words('C', 'find'));
        self::assertStringContainsString('Static charge', $words('C', 'find'));
        self::assertStringContainsString('"ruledOut"', $words('C', 'find'));
        self::assertStringContainsString('Another lot of plate sheet', $words('D', 'weigh'));
        self::assertStringContainsString('Humidity was not recorded on 5 of the runs', $words('D', 'weigh'));
        self::assertStringContainsString('fw 0.5 and fw 0.6', $words('F', 'weigh'));
        self::assertStringContainsString('2 stopped early', $words('E', 'try') === '' ? '' : $words('F', 'try'));
        self::assertStringContainsString(
            'both pass where both were tried (9 of 9, and 9 of 9 on E), so far this trial does not tell them apart; up to',
            $words('F', 'weigh'),
        );
        self::assertStringContainsString('nothing failed up to 1 m, which is a lower bound', $words('F', 'weigh'));
        self::assertStringContainsString('F: one run ended and 2 were stopped without it', $words('F', 'weigh'));
        self::assertStringContainsString(
            '11 % [7, 16] more than D (W-06), pair by pair', $words('E', 'weigh'),
            'Pooled, the six growers would have hidden it.',
        );
        self::assertStringContainsString('Held only at something milder (1 m, not 1.2 m)', $words('E', 'find'));
        self::assertStringContainsString('Set aside and put right', $words('E', 'find'));
        self::assertStringContainsString(
            'It has 5 variants: 4 made, 4 tried, 1 taken out before, 1 lost in handling; “bevelled” was chosen.',
            $words('E′', 'build'),
        );
        self::assertStringContainsString('Doubles by variant: bevelled leads', $words('E′', 'weigh'));
        self::assertStringContainsString('Reworked from E', $words('F', 'build'));
        self::assertStringContainsString('6 still to decide', $words('F', 'next'));
        self::assertStringContainsString('A grower at the June open day', $words('D', 'next'));
        self::assertStringContainsString('1 lost in handling', $words('D', 'try'));
        self::assertGreaterThanOrEqual(250, count((array) $this->demo('wren')['runs']));
    }

    /** A file of version 1 froze less: what is missing is filled from the build and its method, said, and judged alike. */
    public function testAnOlderFileIsJudgedAsItWas(): void
    {
        $file = $this->demo('wren');
        $frozen = (array) $file['configurations'];
        $file['version'] = 1;
        $file['units'] = $file['articles'];
        unset($file['articles'], $file['configurations']);
        $runs = [];
        foreach ((array) $file['runs'] as $run) {
            $run = (array) $run;
            $whole = (array) $frozen[self::text($run, 'configuration')];
            $left = array_diff_key($whole, array_flip([
                'parameters', 'parts', 'conditions', 'settings', 'factors', 'questions', 'heldWhen',
            ]));
            $past = array_intersect_key($run, ['earlierRuns' => 0, 'earlierFailures' => 0]);
            $runs[] = ['configuration' => $left + $past] + array_diff_key($run, $past);
        }
        $file['runs'] = $runs;
        $old = $this->json('GET', '/api/devices/'.$this->import($file).'/frame');
        self::assertSame('5 of 12 shown', self::text($old, 'spine', 0, 'evidence'));
        $build = self::text($old, 'spine', 0, 'revision', 'id');
        $trials = array_column((array) $this->json('GET', '/api/revisions/'.$build.'/try')['trials'], null, 'total');
        ksort($trials);
        $run = self::text((array) array_pop($trials), 'runs', 0, 'id');
        $sheet = json_encode($this->json('GET', '/api/runs/'.$run)) ?: '';
        self::assertStringContainsString('it may have been different', $sheet);
        $new = $this->json('GET', '/api/devices/'.$this->import($this->demo('wren')).'/frame');
        $said = static fn (array $frame): array => array_map(
            static fn (mixed $tag): string => self::text((array) $tag, 'evidence').self::text((array) $tag, 'bar'), (array) $frame['spine'],
        );
        self::assertSame($said($new), $said($old));
    }

    /** What was written under older rules, or in another order, comes back as it is. */
    public function testWhatHasMovedOnSinceComesBackToo(): void
    {
        $bench = $this->bench();
        $this->trial($bench, $bench->a, $bench->unitA, [43.0, 44.1]);
        // The channel leaves its method, which is what the readings above were read by.
        $this->json(
            'PUT', '/api/methods/'.$bench->method,
            [
                'device' => $bench->device, 'name' => 'Push', 'version' => 1, 'channels' => [], 'conditions' => [],
                'safety' => ['abort' => 'When it hurts.'],
            ],
        );
        self::assertSame(200, $this->answered());
        // A build is put under one that was written down after it.
        $late = $this->put('revisions', ['device' => $bench->device, 'letter' => 'Z']);
        $this->json('PUT', '/api/revisions/'.$bench->a, ['device' => $bench->device, 'letter' => 'A', 'parent' => $late, 'version' => 1]);
        self::assertSame(200, $this->answered());
        $withdrawn = $this->put('failures', ['revision' => $bench->b, 'mode' => 'Broke']);
        $this->json('POST', '/api/failures/'.$withdrawn.'/withdraw', ['because' => 'It was another one']);
        $out = $this->export($bench->device);
        $again = $this->export($this->import($out));
        self::assertSame(self::anonymous($out), self::anonymous($again));
        self::assertCount(2, (array) $again['readings']);
        self::assertSame('It was another one', self::text($again, 'failures', 0, 'origin', 'withdrawnBecause'));
    }

    public function testADeviceThatIsItsOwnAncestorIsRefused(): void
    {
        $file = $this->demo('rook');
        $builds = (array) $file['revisions'];
        $builds[0] = ['parent' => self::text($builds, 3, 'id')] + (array) $builds[0];
        $file['revisions'] = $builds;
        $before = $this->counts();
        $answer = $this->json('POST', '/api/workspaces/'.$this->workspace.'/import', $file);
        self::assertSame(422, $this->answered(), json_encode($answer) ?: '');
        self::assertSame($before, $this->counts());
    }

    public function testABrokenOrHalfFileStoresNothing(): void
    {
        $file = $this->demo('rook');
        $whole = json_encode($file, JSON_THROW_ON_ERROR);
        $url = '/api/workspaces/'.$this->workspace.'/import';
        $before = $this->counts();
        $this->raw('POST', $url, substr($whole, 0, intdiv(strlen($whole), 2)));
        self::assertSame(400, $this->answered());
        foreach ([
            'format' => ['format' => 'another'] + $file, 'version' => ['version' => 9] + $file,
            'device' => array_diff_key($file, ['device' => 1]),
            'runs/3' => $this->with($file, 'runs', 3, ['outcome' => 'exploded']),
            'readings/5/text' => $this->with(
                $file, 'readings', 5,
                [
                    'typed' => ['value' => 3, 'unit' => 'mm', 'resolution' => 1],
                    'current' => ['value' => 3, 'unit' => 'mm', 'resolution' => 1],
                ],
            ),
            'trials/1/id' => $this->with($file, 'trials', 1, ['id' => 'scale-A']), 'revisions/2/parent' => $this->with(
                $file, 'revisions', 2, ['parent' => 'nowhere'],
            ),
            'runs/0' => $this->with($file, 'runs', 0, ['configuration' => ['letter' => ['x']]]), 'runs/1/origin' => $this->with(
                $file, 'runs', 1, ['origin' => ['createdAt' => 'yesterdayish', 'createdBy' => [], 'version' => 'x']],
            ),
            'photos/0/picture' => [
                'photos' => [['id' => 'p', 'revision' => 'rook-A', 'picture' => 'bm8=']],
            ] + $file, 'methods/0/id' => ['methods' => [['name' => 'x']]] + $file, 'parts' => ['parts' => 'none'] + $file,
        ] as $path => $broken) {
            $answer = $this->json('POST', $url, $broken);
            self::assertSame(422, $this->answered(), $path.json_encode($answer));
            self::assertStringStartsWith($path, self::text($answer, 'violations', 0, 'path'));
        }
        self::assertSame($before, $this->counts());
    }

    /** @return list<int> */
    private function counts(): array
    {
        $db = self::service(Connection::class);

        return array_map(
            static fn (string $t): int => (int) (is_numeric($n = $db->fetchOne('SELECT count(*) FROM '.$t)) ? $n : -1),
            ['device', 'revision', 'run', 'reading', 'photo', 'history_entry'],
        );
    }

    /**
     * @param array<string, mixed> $file
     * @param array<string, mixed> $changes
     *
     * @return array<string, mixed>
     */
    private function with(array $file, string $list, int $i, array $changes): array
    {
        $rows = (array) $file[$list];
        $rows[$i] = $changes + (array) $rows[$i];

        return [$list => $rows] + $file;
    }

    /** @return array<string, mixed> without its photos: drawing them takes long */
    private function demo(string $name): array
    {
        /** @var array<string, mixed> $file */
        $file = json_decode((string) file_get_contents(dirname(__DIR__, 2).'/demo/'.$name.'.json'), true, 64, JSON_THROW_ON_ERROR);

        return ['photos' => []] + $file;
    }

    /** @param array<string, mixed> $file */
    private function import(array $file): string
    {
        $answer = $this->json('POST', '/api/workspaces/'.$this->workspace.'/import', $file);
        self::assertSame(201, $this->answered(), json_encode($answer) ?: '');

        return self::text($answer, 'device');
    }

    /** @return array<array-key, mixed> */
    private function export(string $device): array
    {
        $this->client->request('GET', '/api/devices/'.$device.'/export.json');
        self::assertSame(200, $this->answered());
        $decoded = json_decode($this->client->getInternalResponse()->getContent(), true, 64, JSON_THROW_ON_ERROR);

        return is_array($decoded) ? $decoded : [];
    }

    /**
     * The same with identifiers numbered by first appearance.
     *
     * @param array<array-key, mixed> $file
     */
    private static function anonymous(array $file): string
    {
        unset($file['exportedAt'], $file['device']);
        // What runs share is compared where it is used: its key is made from identifiers.
        foreach ((array) $file['runs'] as $i => $run) {
            $content = self::at((array) $file['configurations'], self::text((array) $run, 'configuration'));
            self::assertIsArray($content);
            ksort($content);
            self::assertIsArray($file['runs']);
            $file['runs'][$i] = ['configuration' => $content] + (array) $run;
        }
        unset($file['configurations']);
        $seen = [];

        return (string) preg_replace_callback('/[0-9a-f]{8}-[0-9a-f]{4}-7[0-9a-f]{3}-[0-9a-f]{4}-[0-9a-f]{12}/', static function (array $m) use (&$seen): string {
            return '#'.($seen[$m[0]] ??= count($seen));
        }, json_encode($file, JSON_THROW_ON_ERROR));
    }
}
