<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use Doctrine\DBAL\Connection;
use Lustrum\Shared\Page;
use PHPUnit\Framework\Attributes\DataProvider;

/** Long lists are given a page at a time: everything once, newest first, also while others write. */
final class PageTest extends ApiTestCase
{
    /** More than one page, and no whole number of them. */
    private const MANY = 2 * Page::SIZE + 7;

    private Bench $bench;

    protected function setUp(): void
    {
        parent::setUp();
        $this->bench = $this->bench();
    }

    /** @return iterable<string, array{string, array<string, mixed>}> */
    public static function lists(): iterable
    {
        yield 'failures' => ['failures', ['mode' => 'Broke']];
        yield 'observations' => ['observations', ['text' => 'Squeaks']];
    }

    /** @param array<string, mixed> $body */
    #[DataProvider('lists')]
    public function testEverythingIsThereOnce(string $list, array $body): void
    {
        $made = $this->make($list, $body, self::MANY);
        self::assertSame(array_reverse($made), $this->walk($list));
    }

    /** @param array<string, mixed> $body */
    #[DataProvider('lists')]
    public function testWhatComesMeanwhileShiftsNothing(string $list, array $body): void
    {
        $made = $this->make($list, $body, self::MANY);
        $seen = $this->walk($list, fn (): array => $this->make($list, $body, 3));
        self::assertSame(array_reverse($made), $seen, 'Nothing twice, nothing missing.');
        self::assertCount(self::MANY + 6, $this->walk($list));
    }

    /** @param array<string, mixed> $body */
    #[DataProvider('lists')]
    public function testWhatWasMadeInTheSameMomentIsToldApart(string $list, array $body): void
    {
        $made = $this->make($list, $body, Page::SIZE + 5);
        self::service(Connection::class)->executeStatement(
            'UPDATE '.substr($list, 0, -1)." SET created_at = '2026-03-02 10:00:00.5+00'",
        );
        sort($made);
        self::assertSame(array_reverse($made), $this->walk($list));
    }

    /** @param array<string, mixed> $body */
    #[DataProvider('lists')]
    public function testWhatWasTakenBackIsNotThere(string $list, array $body): void
    {
        $made = $this->make($list, $body, Page::SIZE + 2);
        $gone = $made[Page::SIZE];
        $this->json('POST', "/api/$list/$gone/withdraw", ['because' => 'Another build']);
        self::assertSame(200, $this->answered());
        $seen = $this->walk($list);
        self::assertNotContains($gone, $seen);
        self::assertCount(Page::SIZE + 1, $seen);
    }

    public function testAPageThatIsJustFullIsTheLast(): void
    {
        $this->make('observations', ['text' => 'Squeaks'], Page::SIZE);
        $page = $this->page('observations', '');
        self::assertCount(Page::SIZE, (array) $page['rows']);
        self::assertNull($page['next']);
    }

    public function testAnEmptyListIsAPage(): void
    {
        self::assertSame([[], null], array_values($this->page('failures', '')));
    }

    public function testTheSheetSaysHowManyThereAreAndWhereTheyGoOn(): void
    {
        $this->make('failures', ['mode' => 'Broke'], self::MANY);
        $sheet = $this->json('GET', '/api/revisions/'.$this->bench->b.'/find');
        self::assertCount(Page::SIZE, (array) $sheet['failures']);
        $numbers = array_filter($sheet, is_int(...));
        self::assertContains(self::MANY, $numbers, json_encode($numbers) ?: '');
        $next = array_filter(
            $sheet, static fn (mixed $v): bool => is_string($v) && base64_decode(strtr($v, '-_', '+/'), true) !== false && strlen($v) > 40,
        );
        $rest = $this->page('failures', (string) array_values($next)[0]);
        self::assertCount(Page::SIZE, (array) $rest['rows']);
    }

    /** @return iterable<string, array{string}> */
    public static function noCursors(): iterable
    {
        yield 'a word' => ['here'];
        yield 'no time' => [base64_encode('x|01a21399-f267-7ee4-95b9-399e024a2527')];
        yield 'no identifier' => [base64_encode('2026-03-02 10:00:00+00|x')];
        yield 'something to run' => [base64_encode("2026-03-02'; DROP TABLE run; --|01a21399-f267-7ee4-95b9-399e024a2527")];
        yield 'half of one' => [substr(Page::behind('2026-03-02 10:00:00+00', '01a21399-f267-7ee4-95b9-399e024a2527'), 0, 20)];
        yield 'a list' => ['[]'];
    }

    #[DataProvider('noCursors')]
    public function testWhatIsNoCursorIsRefused(string $cursor): void
    {
        foreach (['failures', 'observations', 'photos'] as $list) {
            $answer = $this->json('GET', '/api/revisions/'.$this->bench->b.'/'.$list.'?after='.rawurlencode($cursor));
            self::assertSame([422, 'after'], [$this->answered(), self::text($answer, 'violations', 0, 'path')], $list);
        }
    }

    public function testACursorReadsItself(): void
    {
        foreach (['2026-03-02 10:00:00+00', '2026-03-02 10:00:00.123456+00'] as $at) {
            $page = Page::after(Page::behind($at, '01a21399-f267-7ee4-95b9-399e024a2527'));
            self::assertSame([$at, '01a21399-f267-7ee4-95b9-399e024a2527'], [$page->at, $page->id]);
        }
        self::assertNull(Page::after('')->at);
    }

    public function testTheRunsBehindANumber(): void
    {
        $forces = array_map(static fn (int $i): float => 40.0 + 0.1 * $i, range(1, Page::SIZE + 3));
        $this->trial($this->bench, $this->bench->a, $this->bench->unitA, $forces);
        $this->trial($this->bench, $this->bench->b, $this->bench->unitB, [39.0, 39.5]);
        $metric = self::text($this->json('GET', '/api/devices/'.$this->bench->device.'/brief'), 'measured', 0, 'id');
        $url = '/api/revisions/'.$this->bench->b.'/runs?metric='.$metric.'&against='.$this->bench->a;
        $seen = $after = [];
        do {
            $page = $this->json('GET', $url.($after === [] ? '' : '&after='.rawurlencode($after[0])));
            self::assertSame(200, $this->answered(), json_encode($page) ?: '');
            foreach ((array) $page['rows'] as $row) {
                $seen[self::text((array) $row, 'id')] = self::text((array) $row, 'letter').' '.self::text((array) $row, 'readings', 0);
            }
            $after = is_string($page['next']) ? [$page['next']] : [];
        } while ($after !== []);
        self::assertCount(count($forces) + 2, $seen);
        $ofB = array_filter($seen, static fn (string $s): bool => str_starts_with($s, 'B '));
        self::assertCount(2, $ofB);
        self::assertStringContainsString('39.', (string) array_values($ofB)[0]);
    }

    /**
     * @param array<string, mixed> $body
     *
     * @return list<string>
     */
    private function make(string $list, array $body, int $times): array
    {
        $made = [];
        for ($i = 0; $i < $times; ++$i) {
            $made[] = $this->put($list, ['revision' => $this->bench->b] + $body);
        }

        return $made;
    }

    /**
     * @param callable(): mixed|null $between pages
     *
     * @return list<string> identifiers as they come
     */
    private function walk(string $list, ?callable $between = null): array
    {
        $seen = [];
        $after = '';
        do {
            $page = $this->page($list, $after);
            foreach ((array) $page['rows'] as $row) {
                $record = (array) (self::at((array) $row, substr($list, 0, -1)) ?? $row);
                $seen[] = self::text($record, 'id');
            }
            $after = is_string($page['next']) ? $page['next'] : '';
            if ($after !== '' && $between !== null) {
                $between();
            }
        } while ($after !== '');

        return $seen;
    }

    /** @return array{rows: mixed, next: mixed} */
    private function page(string $list, string $after): array
    {
        $page = $this->json('GET', '/api/revisions/'.$this->bench->b.'/'.$list.($after === '' ? '' : '?after='.rawurlencode($after)));
        self::assertSame(200, $this->answered(), json_encode($page) ?: '');

        return ['rows' => $page[$list] ?? $page['rows'] ?? null, 'next' => $page['next']];
    }
}
