<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use Doctrine\DBAL\Connection;
use Lustrum\Core\Run\Row;
use Lustrum\Core\Run\RunFact;
use Lustrum\Facts\Dropped;
use Lustrum\Facts\KeptRuns;
use Lustrum\Facts\Summaries;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Cache\Adapter\FilesystemAdapter;
use Symfony\Component\Uid\Uuid;

/** What is kept of what was worked out is never older than what it rests on, and never anybody else's. */
final class SummaryTest extends ApiTestCase
{
    private Bench $bench;

    private string $trial = '';

    private string $run = '';

    private string $reading = '';

    protected function setUp(): void
    {
        parent::setUp();
        $this->bench = $this->bench();
        $this->trial($this->bench, $this->bench->a, $this->bench->unitA, [43.0, 44.1, 42.7]);
        $this->trial = $this->trial($this->bench, $this->bench->b, $this->bench->unitB, [39.9, 41.2, 40.4]);
        $this->run = self::text($this->json('GET', '/api/revisions/'.$this->bench->b.'/try'), 'trials', 0, 'runs', 0, 'id');
        $this->reading = self::text($this->json('GET', '/api/runs/'.$this->run), 'readings', 0, 'id');
    }

    /** @return iterable<string, array{callable(self): void}> */
    public static function writes(): iterable
    {
        yield 'a run more' => [static function (self $t): void { $t->trial($t->bench, $t->bench->b, $t->bench->unitB, [47.0]); }];
        yield 'a run of the parent' => [static function (self $t): void { $t->trial($t->bench, $t->bench->a, $t->bench->unitA, [47.0]); }];
        yield 'a reading amended' => [
            static function (self $t): void {
                $t->ask(
                    'POST', '/api/readings/'.$t->reading.'/amend', ['text' => '55.0 N', 'reason' => 'x', 'version' => 1],
                );
            },
        ];
        yield 'a reading amended that others are worked out from' => [static function (self $t): void { $t->turned([]); }];
        yield 'a reading amended that tells how many runs it takes' => [
            static function (self $t): void { $t->turned(['untilWidth' => '6 N', 'untilChannel' => 'pull']); },
        ];
        yield 'an outcome amended' => [
            static function (self $t): void {
                $t->ask(
                    'POST', '/api/runs/'.$t->run.'/amend', ['outcome' => 'void', 'reason' => 'x', 'version' => 2],
                );
            },
        ];
        yield 'a failure logged outside a run' => [
            static function (self $t): void { $t->put('failures', ['revision' => $t->bench->b, 'mode' => 'Frame bent']); },
        ];
        yield 'use outside trials' => [static function (self $t): void {
            $t->put('failures', ['revision' => $t->bench->a, 'mode' => 'Frame bent']);
            $t->ask('PUT', '/api/articles/'.$t->bench->unitB, [
                'revision' => $t->bench->b, 'serial' => 'U-2', 'uses' => [['howLong' => '30 beds', 'without' => ['Frame bent']]],
                'version' => 1,
            ]);
        }];
        yield 'a requirement moved' => [static function (self $t): void {
            $t->ask(
                'PUT', '/api/requirements/'.$t->bench->requirement,
                [
                    'device' => $t->bench->device, 'statement' => 'Light', 'metric' => 'push force', 'unit' => 'N', 'limit' => 30.0,
                    'direction' => 'atMost', 'version' => 1,
                ],
            );
        }];
        yield 'a requirement more' => [static function (self $t): void {
            $t->put(
                'requirements',
                [
                    'device' => $t->bench->device, 'statement' => 'Not too light', 'metric' => 'push force', 'unit' => 'N', 'limit' => 20.0,
                    'direction' => 'atLeast',
                ],
            );
        }];
        yield 'a parameter' => [
            static function (self $t): void { $t->put('parameters', ['revision' => $t->bench->b, 'name' => 'arm', 'text' => '3 mm']); },
        ];
        yield 'a parameter of the parent' => [
            static function (self $t): void { $t->put('parameters', ['revision' => $t->bench->a, 'name' => 'arm', 'text' => '3 mm']); },
        ];
        yield 'a parameter that was always so' => [static function (self $t): void {
            $t->put('parameters', ['revision' => $t->bench->b, 'name' => 'arm', 'text' => '3 mm', 'correction' => 'It was forgotten.']);
        }];
        yield 'a change' => [static function (self $t): void {
            $t->put(
                'changes',
                [
                    'revision' => $t->bench->b, 'what' => 'Thinner',
                    'effects' => [['metric' => 'push force', 'unit' => 'N', 'likely' => -3.0]],
                ],
            );
        }];
        yield 'a failure of a run' => [
            static function (self $t): void { $t->put('failures', ['revision' => $t->bench->b, 'mode' => 'Broke', 'run' => $t->run]); },
        ];
        yield 'a failure taken back' => [static function (self $t): void {
            $failure = $t->put('failures', ['revision' => $t->bench->b, 'mode' => 'Broke', 'run' => $t->run]);
            $t->sheets();
            $t->ask('POST', '/api/failures/'.$failure.'/withdraw', ['because' => 'Another one']);
        }];
        yield 'a failure of another name' => [static function (self $t): void {
            $failure = $t->put('failures', ['revision' => $t->bench->b, 'mode' => 'Broke', 'run' => $t->run]);
            $t->sheets();
            $t->ask('PUT', '/api/failures/'.$failure, ['revision' => $t->bench->b, 'mode' => 'Bent', 'run' => $t->run, 'version' => 1]);
        }];
        yield 'a scale that ends at nought' => [static function (self $t): void {
            $metric = (array) self::at($t->json('GET', '/api/devices/'.$t->bench->device.'/brief'), 'measured', 0);
            $t->ask('PUT', '/api/metrics/'.self::text($metric, 'id'), [
                'device' => $t->bench->device, 'name' => 'push force', 'naturalLow' => 42.0, 'effects' => 'ratio',
                'version' => $metric['version'],
            ]);
        }];
        yield 'an article in another state' => [static function (self $t): void {
            $t->put('failures', [
                'revision' => $t->bench->b, 'mode' => 'Broke', 'article' => $t->bench->unitB, 'method' => $t->bench->method,
            ]);
            $t->sheets();
            $article = (array) self::at($t->json('GET', '/api/revisions/'.$t->bench->b.'/build'), 'articles', 0, 'article');
            $t->ask('PUT', '/api/articles/'.$t->bench->unitB, ['state' => 'bare'] + $article);
        }];
        yield 'a method with a factor' => [static function (self $t): void {
            $t->put('failures', ['revision' => $t->bench->b, 'mode' => 'Broke', 'method' => $t->bench->method]);
            $t->sheets();
            $method = (array) self::at($t->json('GET', '/api/revisions/'.$t->bench->b.'/try'), 'methods', 0);
            $t->ask(
                'PUT', '/api/methods/'.$t->bench->method,
                ['factors' => [['name' => 'height', 'kind' => 'number', 'unit' => 'cm']]] + $method,
            );
        }];
        yield 'a trial with more runs planned' => [static function (self $t): void {
            $trial = (array) self::at($t->json('GET', '/api/revisions/'.$t->bench->b.'/try'), 'trials', 0, 'trial');
            $t->ask('PUT', '/api/trials/'.$t->trial, ['plannedRuns' => 9] + $trial);
        }];
        yield 'a reading without a unit' => [static function (self $t): void {
            $run = $t->put('runs', ['trial' => $t->trial, 'article' => $t->bench->unitB]);
            $t->put('readings', ['run' => $run, 'channel' => 'push', 'text' => '40.0', 'undecided' => true]);
            $t->ask('PUT', '/api/runs/'.$run, ['trial' => $t->trial, 'article' => $t->bench->unitB, 'outcome' => 'held', 'version' => 1]);
        }];
        yield 'a trial of another name' => [static function (self $t): void {
            $trial = (array) self::at($t->json('GET', '/api/revisions/'.$t->bench->b.'/try'), 'trials', 0, 'trial');
            $fields = array_intersect_key($trial, array_flip(['revision', 'method', 'purpose', 'version']));
            $t->ask('PUT', '/api/trials/'.$t->trial, ['name' => 'Shoved'] + $fields);
        }];
        yield 'a build more' => [
            static function (self $t): void {
                $t->put(
                    'revisions', ['device' => $t->bench->device, 'letter' => 'C', 'parent' => $t->bench->b],
                );
            },
        ];
        yield 'another parent' => [static function (self $t): void {
            $t->ask(
                'PUT', '/api/revisions/'.$t->bench->b,
                ['device' => $t->bench->device, 'letter' => 'B', 'firmware' => '1.1', 'parent' => $t->bench->a, 'version' => 1],
            );
        }];
        yield 'the metric by another name' => [static function (self $t): void {
            $metric = self::text($t->json('GET', '/api/devices/'.$t->bench->device.'/brief'), 'measured', 0, 'id');
            $t->ask('PUT', '/api/metrics/'.$metric, ['device' => $t->bench->device, 'name' => 'shove', 'version' => 1]);
        }];
        yield 'the device with another currency' => [static function (self $t): void {
            $t->ask(
                'PUT', '/api/devices/'.$t->bench->device,
                ['workspace' => $t->workspace, 'name' => 'Wagtail', 'currency' => 'CHF', 'version' => 1],
            );
        }];
        yield 'a candidate' => [static function (self $t): void {
            $t->put(
                'candidates',
                [
                    'revision' => $t->bench->b, 'what' => 'Wider',
                    'effects' => [['metric' => 'push force', 'unit' => 'N', 'low' => -5.0, 'likely' => -4.0, 'high' => -3.0]],
                ],
            );
        }];
        yield 'a run that has not ended' => [static function (self $t): void {
            $run = $t->put('runs', ['trial' => $t->trial, 'article' => $t->bench->unitB]);
            $t->put('readings', ['run' => $run, 'channel' => 'push', 'text' => '40.0 N', 'confirmed' => 'x']);
        }];
    }

    /** @param callable(self): void $write */
    #[DataProvider('writes')]
    public function testASheetIsTheSameWithAndWithoutWhatIsKept(callable $write): void
    {
        $this->sheets();
        $before = $this->kept();
        self::assertGreaterThan(0, $before, 'Nothing is kept at all.');
        $write($this);
        // To look is counted; what is said after that stays.
        $this->sent('/api/revisions/'.$this->bench->a.'/weigh');
        $this->sent('/api/revisions/'.$this->bench->b.'/weigh');
        $with = $this->sheets();
        self::service(Connection::class)->executeStatement('DELETE FROM summary');
        self::assertSame($this->sheets(), $with);
    }

    public function testWhatWasTamperedWithIsWorkedOutAnew(): void
    {
        $right = $this->sheets();
        self::assertSame($right, $this->sheets(), 'Asked twice.');
        $db = self::service(Connection::class);
        $db->executeStatement('UPDATE summary SET content = ?', [base64_encode(serialize(['forged']))]);
        self::assertSame($right, $this->sheets());
    }

    public function testRunsThatAreKeptAreThoseOfTheDatabase(): void
    {
        $this->put('runs', ['trial' => $this->trial, 'article' => $this->bench->unitB]);
        $this->ask('POST', '/api/runs/'.$this->run.'/amend', ['outcome' => 'stoppedEarly', 'reason' => 'rain', 'version' => 2]);
        $read = $this->runs();
        self::assertCount(3, $read, 'A run that has not ended is none of them.');
        self::assertSame(['stoppedEarly', 'held', 'held'], array_map(static fn (RunFact $r): ?string => $r->outcome?->value, $read));
        self::assertGreaterThan(0, $this->kept());
        self::assertEquals($read, $this->runs(), 'Opened from what was kept.');
    }

    public function testAWriteLeavesWhatIsKeptOfOtherStretches(): void
    {
        $this->trial($this->bench, $this->bench->b, $this->bench->unitB, [47.0]);
        $this->sheets();
        $count = static fn (string $where): int => Row::whole(
            self::service(Connection::class)->fetchOne("SELECT count(*) FROM summary WHERE what IN ('runs:part', 'gathered:part', 'seen:part', 'tries:part', 'trials:part') AND ".$where),
        );
        $of = "key LIKE '%:".$this->trial."%'";
        self::assertSame(
            [5, 10], [$count($of), $count('NOT '.$of)],
            'Of each trial its runs, what they say of requirements, of metrics and of whether it holds, and what they came to.',
        );
        $this->ask('POST', '/api/readings/'.$this->reading.'/amend', ['text' => '55.0 N', 'reason' => 'x', 'version' => 1]);
        self::assertSame([1, 10], [$count($of), $count('NOT '.$of)], 'Whether it held hangs on no reading.');
        $this->ask('POST', '/api/runs/'.$this->run.'/amend', ['outcome' => 'void', 'reason' => 'x', 'version' => 2]);
        self::assertSame([0, 10], [$count($of), $count('NOT '.$of)]);
        $this->put('parameters', ['revision' => $this->bench->b, 'name' => 'arm', 'text' => '3 mm', 'correction' => 'It was forgotten.']);
        self::assertSame(5, $count('NOT '.$of), 'Those of the parent stay.');
    }

    public function testOnlyWhereNothingButRunsWasWrittenAreOtherStretchesLeft(): void
    {
        $dropped = new Dropped();
        self::assertSame([], $dropped->parts());
        $dropped->reading('build', 'trial', 399, ['metric']);
        self::assertTrue($dropped->onlyReadings());
        $dropped->run('build', 'trial', 400, ['metric', 'other']);
        self::assertFalse($dropped->onlyReadings());
        self::assertSame([Dropped::READ, 'trial', 'trial:1', 'metric', 'trial:2', 'other', Dropped::ENDED], $dropped->parts());
        $dropped->build('build');
        self::assertSame([], $dropped->parts(), 'All of the build.');
        self::assertSame(['build'], array_keys($dropped->builds));
    }

    public function testAFailureLeavesWhatIsKeptOfOthers(): void
    {
        $kept = fn (): array => array_map(Row::text(...), self::service(Connection::class)->fetchFirstColumn(
            "SELECT key FROM summary WHERE what IN ('failures:part', 'standings', 'stretches:part', 'tries:part') ORDER BY key",
        ));
        $this->sheets();
        $all = $kept();
        self::assertContains('failures:'.$this->bench->a.':ended', $all);
        $without = static fn (array $keys, string ...$starts): array => array_values(array_filter(
            $keys, static fn (string $key): bool => array_filter($starts, static fn (string $s): bool => str_starts_with($key, $s)) === [],
        ));
        $this->put('failures', ['revision' => $this->bench->b, 'mode' => 'Handle came loose', 'consequence' => 'minor']);
        self::assertSame(
            $without($all, 'failures:'.$this->bench->b, 'standings'), $kept(),
            'Outside a run, only the list of its build is read again.',
        );
        $this->sheets();
        self::assertSame($all, $kept());
        $this->ask('POST', '/api/readings/'.$this->reading.'/amend', ['text' => '56.0 N', 'reason' => 'x', 'version' => 1]);
        self::assertSame($all, $kept(), 'Where failures stand hangs on no reading.');
    }

    public function testAnUnendedRunDropsNothing(): void
    {
        $this->sheets();
        $before = $this->kept();
        $this->put('runs', ['trial' => $this->trial, 'article' => $this->bench->unitB]);
        self::assertSame($before, $this->kept());
        $this->ask('POST', '/api/readings/'.$this->reading.'/amend', ['text' => '55.0 N', 'reason' => 'x', 'version' => 1]);
        self::assertLessThan($before, $this->kept());
    }

    public function testABrowserThatHasItIsAnsweredShortly(): void
    {
        $url = '/api/revisions/'.$this->bench->b.'/weigh';
        $this->json('GET', $url);
        $mark = (string) $this->client->getResponse()->headers->get('ETag');
        self::assertNotSame('', $mark);
        $this->client->request('GET', $url, [], [], ['HTTP_IF_NONE_MATCH' => $mark]);
        self::assertSame([304, ''], [$this->answered(), (string) $this->client->getResponse()->getContent()]);
        $this->ask('POST', '/api/readings/'.$this->reading.'/amend', ['text' => '55.0 N', 'reason' => 'x', 'version' => 1]);
        $this->client->request('GET', $url, [], [], ['HTTP_IF_NONE_MATCH' => $mark]);
        self::assertSame(200, $this->answered(), 'After a write.');
        $mark = (string) $this->client->getResponse()->headers->get('ETag');
        $this->signIn('viewer@example.test');
        $this->client->request('GET', $url, [], [], ['HTTP_IF_NONE_MATCH' => $mark]);
        self::assertSame(200, $this->answered(), 'As somebody with other rights.');
    }

    /** The memory of the workers is not there for tests: a pool of the same kind stands in its place. */
    public function testAnAnswerIsGivenOutAgainUntilAWrite(): void
    {
        $place = Row::text(self::getContainer()->getParameter('kernel.cache_dir')).'/answers';
        $answers = new FilesystemAdapter('answers', 60, $place);
        $answers->clear();
        self::ensureKernelShutdown();
        $this->client = self::createClient();
        $this->client->disableReboot();
        self::getContainer()->set('lustrum.answers', $answers);
        $this->signIn('lead@example.test');
        $url = '/api/revisions/'.$this->bench->b.'/weigh';
        $sheet = $this->json('GET', $url);
        $mark = trim((string) $this->client->getResponse()->getEtag(), '"');
        self::assertTrue($answers->hasItem($mark));
        self::assertSame($sheet, $this->json('GET', $url));
        $answers->save($answers->getItem($mark)->set((string) gzcompress('{"from":"memory"}')));
        self::assertSame(['from' => 'memory'], $this->json('GET', $url), 'Nothing is worked out.');
        $answers->save($answers->getItem($mark)->set('no longer whole'));
        self::assertSame($sheet, $this->json('GET', $url), 'Worked out where it cannot be unpacked.');
        $this->ask('POST', '/api/readings/'.$this->reading.'/amend', ['text' => '55.0 N', 'reason' => 'x', 'version' => 1]);
        $after = $this->json('GET', $url);
        self::assertNotSame($sheet, $after, 'After a write.');
        $mark = trim((string) $this->client->getResponse()->getEtag(), '"');
        $answers->save($answers->getItem($mark)->set((string) gzcompress('{"from":"the lead"}')));
        $this->signIn('viewer@example.test');
        self::assertSame($after['sentence'], $this->json('GET', $url)['sentence'], 'Somebody else is given nothing of it.');
    }

    public function testAWriteSaysWhatItMadeStale(): void
    {
        $this->put('observations', ['revision' => $this->bench->b, 'text' => 'Squeaks']);
        self::assertSame('find run methods', $this->stale());
        $this->put('parameters', ['revision' => $this->bench->b, 'name' => 'arm', 'text' => '3 mm']);
        self::assertStringContainsString('weigh', $this->stale());
        $id = Uuid::v7()->toRfc4122();
        $body = ['revision' => $this->bench->b, 'text' => 'Rattles'];
        $this->ask('PUT', '/api/observations/'.$id, $body);
        $this->ask('PUT', '/api/observations/'.$id, $body);
        self::assertSame('', $this->stale(), 'Nothing was written the second time.');
    }

    public function testNothingIsKeptOfWhatAWriteCameBetween(): void
    {
        $db = self::service(Connection::class);
        $summaries = self::service(Summaries::class);
        $counter = is_numeric($c = $db->fetchOne('SELECT counter FROM device WHERE id = ?', [$this->bench->device])) ? (int) $c : 0;
        $before = $this->kept();
        // The counter is read, then somebody writes, and then what was worked out would be stored.
        $worked = $summaries->kept($this->bench->device, $counter, 'evidence', [$this->bench->b], function (): string {
            $this->put('parameters', ['revision' => $this->bench->b, 'name' => 'arm', 'text' => '3 mm']);

            return 'worked out from what was there before';
        });
        self::assertSame('worked out from what was there before', $worked);
        self::assertLessThanOrEqual($before, $this->kept());
        self::assertSame(
            '0',
            (string) (is_scalar($n = $db->fetchOne('SELECT count(*) FROM summary WHERE key = ?', ['evidence:'.$this->bench->b])) ? $n : ''),
        );
        $summaries->kept($this->bench->device, $counter + 1, 'evidence', [$this->bench->b], static fn (): string => 'anew');
        self::assertSame(
            '1',
            (string) (is_scalar($n = $db->fetchOne('SELECT count(*) FROM summary WHERE key = ?', ['evidence:'.$this->bench->b])) ? $n : ''),
        );
    }

    /** @return list<RunFact> of the build, as the sums get them */
    private function runs(): array
    {
        $db = self::service(Connection::class);
        $counter = $db->fetchOne('SELECT counter FROM device WHERE id = ?', [$this->bench->device]);
        $kept = self::service(KeptRuns::class);

        [$device, $build, $counter] = [$this->bench->device, $this->bench->b, is_numeric($counter) ? (int) $counter : 0];

        return $kept->ofStretches($device, $counter, $build, $kept->stretchesOf($device, $counter, [$build])[$build]);
    }

    private function stale(): string
    {
        return (string) $this->client->getResponse()->headers->get('X-Stale');
    }

    /** @param array<string, mixed> $body */
    private function ask(string $method, string $url, array $body): void
    {
        $answer = $this->json($method, $url, $body);
        self::assertContains($this->answered(), [200, 201], $url.': '.json_encode($answer));
    }

    private function kept(): int
    {
        $count = self::service(Connection::class)->fetchOne('SELECT count(*) FROM summary');

        return is_numeric($count) ? (int) $count : 0;
    }

    /**
     * Runs on both builds that read two channels, from which a third is worked out; then one of the readings is amended.
     *
     * @param array<string, string> $until half-width that its trials go on to
     */
    private function turned(array $until): void
    {
        $method = $this->put('methods', [
            'device' => $this->bench->device, 'name' => 'Turn', 'safety' => ['abort' => 'When it slips.'],
            'channels' => [
                ['key' => 'pull', 'metric' => 'pull', 'unit' => 'N', 'resolution' => 0.1],
                ['key' => 'arm', 'metric' => 'arm', 'unit' => 'm', 'resolution' => 0.001],
                ['key' => 'turn', 'metric' => 'torque', 'unit' => 'N*m', 'formula' => 'pull * arm'],
            ],
        ]);
        $readings = [];
        foreach ([$this->bench->a => $this->bench->unitA, $this->bench->b => $this->bench->unitB] as $build => $article) {
            $trial = $this->put('trials', ['revision' => $build, 'method' => $method, 'name' => 'Turned', 'plannedRuns' => 3] + $until);
            foreach (['20.0', '21.0', '22.5'] as $i => $pull) {
                $about = ['trial' => $trial, 'article' => $article];
                $run = $this->put('runs', $about);
                $readings[$i] = $this->put('readings', ['run' => $run, 'channel' => 'pull', 'text' => $pull.' N', 'confirmed' => 'x']);
                $this->put('readings', ['run' => $run, 'channel' => 'arm', 'text' => sprintf('2.00%d m', $i), 'confirmed' => 'x']);
                $this->ask('PUT', '/api/runs/'.$run, ['outcome' => 'held', 'version' => 1] + $about);
            }
        }
        $before = $this->sheets();
        $this->ask('POST', '/api/readings/'.$readings[0].'/amend', ['text' => '35.0 N', 'reason' => 'x', 'version' => 1]);
        self::assertNotSame($before, $this->sheets());
    }

    /** @return array<string, string> every sheet of both builds, as it is sent */
    private function sheets(): array
    {
        $out = [];
        foreach ([$this->bench->a, $this->bench->b] as $build) {
            foreach (['build', 'try', 'find', 'weigh', 'next'] as $sheet) {
                $out[$sheet.' '.$build] = $this->sent('/api/revisions/'.$build.'/'.$sheet);
            }
        }
        $out['run'] = $this->sent('/api/runs/'.$this->run);
        foreach (['brief', 'methods', 'frame'] as $sheet) {
            $out[$sheet] = $this->sent('/api/devices/'.$this->bench->device.'/'.$sheet);
        }
        $out['devices'] = $this->sent('/api/workspaces/'.$this->workspace.'/devices');

        return $out;
    }

    private function sent(string $url): string
    {
        $this->json('GET', $url);
        self::assertSame(200, $this->answered(), $url.': '.$this->client->getResponse()->getContent());

        return (string) $this->client->getResponse()->getContent();
    }
}
