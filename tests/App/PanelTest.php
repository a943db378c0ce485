<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use Symfony\Component\Uid\Uuid;

/** Blind panels: codes and orders, what a rater reaches and what not, sheets that come late, and what is told at the end. */
final class PanelTest extends ApiTestCase
{
    private const RATERS = ['Odile', 'Bram', 'Greta', 'Sunniva'];

    private string $build = '';

    private string $trial = '';

    private string $panel = '';

    /** @param array<string, mixed> $more */
    private function world(array $more = []): void
    {
        $bench = $this->bench();
        $this->build = $bench->a;
        $method = $this->put('methods', [
            'device' => $bench->device, 'name' => 'Feel', 'safety' => ['abort' => 'When it hurts.'], 'wears' => false,
            'channels' => [['key' => 'feel', 'metric' => 'feel', 'unit' => '1', 'low' => 0.0, 'high' => 100.0]],
        ]);
        $this->trial = $this->put('trials', ['revision' => $this->build, 'method' => $method, 'name' => 'Feeling']);
        foreach (['P-1', 'P-2', 'P-3'] as $serial) {
            $this->put('articles', ['revision' => $this->build, 'serial' => $serial]);
        }
        $this->panel = $this->put('panels', $more + $this->input());
    }

    /** @return array<string, mixed> */
    private function input(): array
    {
        return [
            'trial' => $this->trial, 'serials' => ['P-1', 'P-2', 'P-3'], 'raters' => self::RATERS, 'seed' => 7,
            'scales' => [['channel' => 'feel', 'low' => 'tiring', 'high' => 'light']], 'prefers' => true,
            'guess' => 'Which one is new?', 'right' => 'P-3',
        ];
    }

    /** @return array<array-key, mixed> */
    private function page(): array
    {
        return $this->json('GET', '/api/panels/'.$this->panel.'/page');
    }

    /** @return array<array-key, mixed> */
    private function rate(string $rater): array
    {
        return $this->json('GET', '/api/panels/'.$this->panel.'/rate?rater='.$rater);
    }

    /** @param array<string, mixed> $more */
    private function sheet(string $rater, string $code, string $value, array $more = []): int
    {
        $this->json('PUT', '/api/sheets/'.Uuid::v7()->toRfc4122(), $more + [
            'panel' => $this->panel, 'rater' => $rater, 'code' => $code, 'ratings' => [['name' => 'feel', 'text' => $value]],
        ]);

        return $this->answered();
    }

    /** Everybody rates everything: P-3 best, P-1 worst, each rater a little higher than the one before. */
    private function allRate(bool $guessRight): void
    {
        $of = ['P-1' => 20, 'P-2' => 40, 'P-3' => 60];
        foreach (self::RATERS as $i => $rater) {
            $before = null;
            foreach ((array) self::at($this->page(), 'served', $i, 'codes') as $place => $code) {
                $code = (array) $code;
                $serial = self::text($code, 'serial');
                $prefers = $before === null ? null : ($of[$serial] > $of[$before] ? 'this' : 'before');
                // One of them takes it the other way round, or a finite strength would not exist.
                if ($i === 0 && $prefers !== null) {
                    $prefers = $prefers === 'this' ? 'before' : 'this';
                }
                $guess = $place === 2 ? ['guess' => $this->codeOf($guessRight ? 'P-3' : 'P-1')] : [];
                self::assertSame(201, $this->sheet(
                    $rater, self::text($code, 'code'), (string) ($of[$serial] + 3 * $i), ['prefers' => $prefers] + $guess,
                ));
                $before = $serial;
            }
        }
    }

    private function codeOf(string $serial): string
    {
        foreach ((array) self::at($this->page(), 'served', 0, 'codes') as $code) {
            if (self::text((array) $code, 'serial') === $serial) {
                return self::text((array) $code, 'code');
            }
        }
        self::fail('Nobody is served '.$serial);
    }

    public function testEachIsServedEveryCodeInAnOrderOfTheirOwn(): void
    {
        $this->world();
        $page = $this->page();
        $orders = array_map(
            static fn (mixed $one): array => array_map(
                static fn (mixed $c): string => self::text((array) $c, 'serial'), (array) self::at((array) $one, 'codes'),
            ),
            (array) $page['served'],
        );
        foreach ($orders as $order) {
            $sorted = $order;
            sort($sorted);
            self::assertSame(['P-1', 'P-2', 'P-3'], $sorted);
        }
        self::assertGreaterThan(1, count(array_unique(array_map(static fn (array $o): string => implode(' ', $o), $orders))));
        self::assertSame(
            '0 of 12 sheets are there, from 4 raters; nobody sees a mean before it is unblinded.', self::text($page, 'sentence'),
        );
        self::assertSame([], $page['results']);
    }

    public function testARaterSeesCodesAndQuestionsOnly(): void
    {
        $this->world();
        $rate = $this->rate('Odile');
        $first = self::text($rate, 'code');
        self::assertMatchesRegularExpression('/^[0-9]{3}$/', $first);
        self::assertSame(['1', '3', '', ''], [
            self::text($rate, 'place'), self::text($rate, 'of'), self::text($rate, 'before'), self::text($rate, 'guess'),
        ]);
        self::assertSame('light', self::text($rate, 'scales', 0, 'high'));
        self::assertStringNotContainsString('P-', json_encode($rate) ?: '', 'Nothing says which article it is.');
        self::assertSame(201, $this->sheet('Odile', $first, '70'));
        $second = $this->rate('Odile');
        self::assertSame($first, self::text($second, 'before'), 'It is held against the one before.');
        self::assertStringNotContainsString('70', json_encode([$second['scales'], $second['codes']]) ?: '');
        $this->sheet('Odile', self::text($second, 'code'), '50');
        $last = $this->rate('Odile');
        self::assertSame('Which one is new?', self::text($last, 'guess'));
        self::assertCount(3, (array) $last['codes']);
        $this->sheet('Odile', self::text($last, 'code'), '40');
        self::assertSame(['', ['Bram', 'Greta', 'Sunniva']], [self::text($this->rate('Odile'), 'code'), $this->rate('Odile')['raters']]);
    }

    public function testWhatWasRatedStays(): void
    {
        $this->world();
        $code = self::text($this->rate('Odile'), 'code');
        self::assertSame(422, $this->sheet('Odile', $code, 'very'), 'No number.');
        self::assertSame(422, $this->sheet('Odile', '000', '50'), 'No such code.');
        self::assertSame(422, $this->sheet('Nobody', $code, '50'));
        self::assertSame(422, $this->sheet('Odile', $code, '50', ['ratings' => []]), 'Something was not rated.');
        self::assertSame(201, $this->sheet('Odile', $code, '50'));
        self::assertSame(409, $this->sheet('Odile', $code, '90'), 'Once for each code.');
        $other = $this->json('PUT', '/api/panels/'.$this->panel, ['seed' => 8, 'version' => 1] + $this->input());
        self::assertSame([422, 'serials'], [$this->answered(), self::text($other, 'violations', 0, 'path')]);
        $this->json('PUT', '/api/panels/'.$this->panel, ['raters' => [...self::RATERS, 'Petra'], 'version' => 1] + $this->input());
        self::assertSame(200, $this->answered(), 'Somebody more may rate.');
    }

    public function testUnblindingMakesRunsAndTellsWhatWasWhich(): void
    {
        $this->world();
        self::assertSame(422, (function (): int {
            $this->json('POST', '/api/panels/'.$this->panel.'/unblind', ['version' => 1]);

            return $this->answered();
        })(), 'Nobody has rated anything.');
        $this->allRate(true);
        $told = $this->json('POST', '/api/panels/'.$this->panel.'/unblind', ['version' => 1]);
        self::assertSame(200, $this->answered(), json_encode($told) ?: '');
        $again = $this->json('POST', '/api/panels/'.$this->panel.'/unblind', ['version' => 1]);
        self::assertSame('Lead', self::text($again, 'unblinded', 'by'), 'Who looked is written down, once.');

        $page = $this->page();
        self::assertSame('3 articles rated blind by 4 raters: 12 of 12 sheets.', self::text($page, 'sentence'));
        self::assertSame(['P-3', 'P-2', 'P-1'], array_column((array) self::at($page, 'results', 0, 'items'), 'serial'));
        // 60, 63, 66, 69: mean 64.5, sd 3.873, t(3; 0.975) = 3.182: ± 6.2.
        self::assertSame('64.5 [58.3, 70.7]', self::text($page, 'results', 0, 'items', 0, 'text'));
        self::assertStringStartsWith('Feel: the raters order them alike (Kendall’s W 1.0', self::text($page, 'results', 0, 'agreement'));
        self::assertStringContainsString('is preferred to', self::text($page, 'preferences', 0));
        // Four of four by chance of a third each: 1/81.
        self::assertStringStartsWith('4 of 4 guesses were right, among 3: chance seldom gives that (p 0.012).', self::text($page, 'blind'));

        $try = $this->json('GET', '/api/revisions/'.$this->build.'/try');
        self::assertSame('12', self::text($try, 'trials', 0, 'total'), 'Twelve runs, and not twice that.');
        $run = $this->json('GET', '/api/runs/'.self::text($try, 'trials', 0, 'runs', 0, 'id'));
        self::assertSame([['name' => 'rater', 'text' => 'Odile']], self::at($run, 'run', 'levels'));
        $weigh = $this->json('GET', '/api/revisions/'.$this->build.'/weigh');
        $said = (array) self::at($weigh, 'panels', 0, 'said');
        self::assertContains(self::text($page, 'results', 0, 'agreement'), $said);
        self::assertContains(self::text($page, 'blind'), $said);
        self::assertStringContainsString('P-3', json_encode($weigh) ?: '');
    }

    public function testWrongGuessesSayNothingAgainstTheBlind(): void
    {
        $this->world();
        $this->allRate(false);
        $this->json('POST', '/api/panels/'.$this->panel.'/unblind', ['version' => 1]);
        self::assertStringContainsString('nothing says that the blind failed', self::text($this->page(), 'blind'));
    }

    public function testMissingSheetsAreNamedAndLateOnesCountForNothing(): void
    {
        $this->world();
        foreach ((array) self::at($this->page(), 'served', 0, 'codes') as $code) {
            $this->sheet('Odile', self::text((array) $code, 'code'), '50');
        }
        $bram = array_column((array) self::at($this->page(), 'served', 1, 'codes'), 'code');
        $this->sheet('Bram', (string) $bram[0], '60');
        $this->json('POST', '/api/panels/'.$this->panel.'/unblind', ['version' => 1]);
        self::assertSame(201, $this->sheet('Bram', (string) $bram[1], '10'), 'It is kept all the same.');
        $page = $this->page();
        self::assertStringEndsWith('4 of 12 sheets, and one came too late.', self::text($page, 'sentence'));
        self::assertSame(sprintf('Bram has said nothing of %s and %s.', $bram[1], $bram[2]), self::text($page, 'missing', 0));
        foreach ((array) self::at($page, 'results', 0, 'items') as $item) {
            $item = (array) $item;
            self::assertLessThanOrEqual(100, self::at($item, 'high') ?? 100, 'No interval goes past the end of the line.');
            self::assertGreaterThanOrEqual(0, self::at($item, 'low') ?? 0);
        }
        self::assertStringNotContainsString('10.0', json_encode($page['results']) ?: '');
        self::assertSame('4', self::text($this->json('GET', '/api/revisions/'.$this->build.'/try'), 'trials', 0, 'total'));
    }

    public function testAHandedOverSessionReachesThisPanelsCodesOnly(): void
    {
        $this->world();
        $other = $this->put('panels', $this->input());
        $code = self::text($this->rate('Odile'), 'code');
        $this->json('POST', '/api/panels/'.$this->panel.'/hand-over');
        self::assertSame(204, $this->answered());
        self::assertSame($this->panel, self::text($this->json('GET', '/api/session'), 'panel'));
        foreach ([
            ['GET', '/api/panels/'.$this->panel.'/page'], ['GET', '/api/panels/'.$other.'/rate'],
            ['GET', '/api/revisions/'.$this->build.'/try'],
            ['GET', '/api/workspaces/'.$this->workspace.'/devices'], ['GET', '/api/signed-in'],
            ['POST', '/api/panels/'.$this->panel.'/unblind'], ['POST', '/api/panels/'.$other.'/take-back'], ['POST', '/api/password'],
            ['PUT', '/api/panels/'.$this->panel], ['PUT', '/api/articles/'.Uuid::v7()->toRfc4122()],
        ] as [$method, $url]) {
            $this->json($method, $url, $method === 'GET' ? null : ['version' => 1, 'password' => self::PASSWORD]);
            self::assertSame(403, $this->answered(), $method.' '.$url);
        }
        $this->json('PUT', '/api/sheets/'.Uuid::v7()->toRfc4122(), [
            'panel' => $other, 'rater' => 'Odile', 'code' => $code, 'ratings' => [['name' => 'feel', 'text' => '50']],
        ]);
        self::assertSame(403, $this->answered(), 'A sheet of another panel.');
        self::assertSame(201, $this->sheet('Odile', $code, '50'));
        self::assertNotSame('', self::text($this->rate('Odile'), 'code'));

        $wrong = $this->json('POST', '/api/panels/'.$this->panel.'/take-back', ['password' => 'a wrong word']);
        self::assertSame([422, 'password'], [$this->answered(), self::text($wrong, 'violations', 0, 'path')]);
        $this->json('GET', '/api/revisions/'.$this->build.'/try');
        self::assertSame(403, $this->answered());
        $this->json('POST', '/api/panels/'.$this->panel.'/take-back', ['password' => self::PASSWORD]);
        self::assertSame(204, $this->answered());
        $this->json('GET', '/api/revisions/'.$this->build.'/try');
        self::assertSame(200, $this->answered());
    }

    public function testWhatCannotBeRatedIsSaidAtItsField(): void
    {
        $this->world();
        foreach ([
            'serials' => ['serials' => ['P-1']], 'serials[1]' => ['serials' => ['P-1', 'X-9']],
            'raters' => ['raters' => ['Odile', 'odile']],
            'scales' => ['scales' => [], 'prefers' => false], 'scales[0].channel' => ['scales' => [['channel' => 'weight']]],
            'right' => ['guess' => 'Which?', 'right' => 'X-9'],
        ] as $path => $wrong) {
            $answer = $this->json('PUT', '/api/panels/'.Uuid::v7()->toRfc4122(), $wrong + ['guess' => ''] + $this->input());
            self::assertSame([422, $path], [$this->answered(), self::text($answer, 'violations', 0, 'path')]);
        }
    }
}
