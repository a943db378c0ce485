<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Lustrum\Domain\Trial\Panel;
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
            'trial' => $this->trial, 'serials' => ['P-1', 'P-2', 'P-3'], 'raters' => self::RATERS,
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

    /** What is done meanwhile is done on a device in a rater's hand. */
    private function inARatersHand(callable $do): mixed
    {
        $this->json('POST', '/api/panels/'.$this->panel.'/hand-over');
        self::assertSame(204, $this->answered());
        try {
            return $do();
        } finally {
            $this->json('POST', '/api/panels/'.$this->panel.'/take-back', ['password' => self::PASSWORD]);
            self::assertSame(204, $this->answered());
        }
    }

    private function record(): Panel
    {
        $panel = self::service(EntityManagerInterface::class)->find(Panel::class, $this->panel);

        return $panel ?? self::fail('There is no such panel.');
    }

    /** Everybody rates everything: P-3 best, P-1 worst, each rater a little higher than the one before. */
    private function allRate(bool $guessRight): void
    {
        $this->inARatersHand(fn () => $this->rateAll($guessRight));
    }

    private function rateAll(bool $guessRight): void
    {
        $of = ['P-1' => 20, 'P-2' => 40, 'P-3' => 60];
        foreach (self::RATERS as $i => $rater) {
            $before = null;
            foreach ($this->record()->servedTo($rater) as $place => $code) {
                $serial = (string) $this->record()->serialOf($code);
                $prefers = $before === null ? null : ($of[$serial] > $of[$before] ? 'this' : 'before');
                // One of them takes it the other way round, or a finite strength would not exist.
                if ($i === 0 && $prefers !== null) {
                    $prefers = $prefers === 'this' ? 'before' : 'this';
                }
                $guess = $place === 2 ? ['guess' => $this->codeOf($guessRight ? 'P-3' : 'P-1')] : [];
                self::assertSame(201, $this->sheet(
                    $rater, $code, (string) ($of[$serial] + 3 * $i), ['prefers' => $prefers] + $guess,
                ));
                $before = $serial;
            }
        }
    }

    private function codeOf(string $serial): string
    {
        return $this->record()->orders()->codes[$serial] ?? self::fail('Nobody is served '.$serial);
    }

    public function testEachIsServedEveryCodeInAnOrderOfTheirOwn(): void
    {
        $this->world();
        $page = $this->page();
        $orders = array_column($this->record()->orders()->raters, 'order');
        self::assertCount(4, $orders);
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
        $this->json('POST', '/api/panels/'.$this->panel.'/hand-over');
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
        $this->inARatersHand(function () use ($code): void {
            self::assertSame(422, $this->sheet('Odile', $code, 'very'), 'No number.');
            self::assertSame(422, $this->sheet('Odile', '000', '50'), 'No such code.');
            self::assertSame(422, $this->sheet('Nobody', $code, '50'));
            self::assertSame(422, $this->sheet('Odile', $code, '50', ['ratings' => []]), 'Something was not rated.');
            self::assertStringContainsString('This is not rated yet.', (string) $this->client->getResponse()->getContent());
            self::assertSame(403, $this->sheet('Odile', $code, '50', ['panel' => Uuid::v7()->toRfc4122()]), 'Of another panel.');
            self::assertSame(201, $this->sheet('Odile', $code, '50'));
            self::assertSame(409, $this->sheet('Odile', $code, '90'), 'Once for each code.');
        });
        $other = $this->json('PUT', '/api/panels/'.$this->panel, ['prefers' => false, 'version' => 1] + $this->input());
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
        self::assertStringStartsWith('Feel: the raters agree on their order more than chance would (W 1.0', self::text($page, 'results', 0, 'agreement'));
        // Whom each rater saw first is chance, and with it what was compared with what.
        self::assertMatchesRegularExpression(
            '/^P-\d and P-\d are not told apart: P-\d in \d+ % \[\d+, \d+\] of choices, 8 comparisons\.$/', self::text($page, 'preferences', 0),
        );
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
        $bram = $this->record()->servedTo('Bram');
        $this->inARatersHand(function () use ($bram): void {
            foreach ($this->record()->servedTo('Odile') as $code) {
                $this->sheet('Odile', $code, '50');
            }
            $this->sheet('Bram', $bram[0], '60');
        });
        $this->json('POST', '/api/panels/'.$this->panel.'/unblind', ['version' => 1]);
        self::assertSame(201, $this->sheet('Bram', $bram[1], '10'), 'It is kept all the same.');
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

    /** Whatever is asked of it before it is unblinded, by a lead or a member, tells neither what stands behind a code nor what was said. */
    public function testBlindIsBlindForEverybody(): void
    {
        $this->world();
        $this->inARatersHand(fn () => $this->rateAll(true));
        $codes = $this->record()->orders()->codes;
        $sheet = self::service(Connection::class)->fetchAssociative('SELECT id, rater, code FROM panel_sheet LIMIT 1') ?: [];
        $id = self::text($sheet, 'id');
        $device = $this->record()->trial()->revision()->device()->id()->toRfc4122();
        foreach (['member@example.test', 'viewer@example.test'] as $who) {
            $this->signIn($who);
            $this->sheetsTellNothing($device, $id, $codes);
        }
        $this->signIn('lead@example.test');
        $asked = $this->page();
        self::assertTrue($asked['serves']);
        self::assertFalse($asked['isOpen']);
        $next = array_column((array) $asked['served'], 'next');
        self::assertSame([null, null, null, null], $next, 'Everything was handed over.');
        unset($asked['served']);
        self::assertStringNotContainsString('"code"', json_encode($asked) ?: '');

        // Somebody's body under the identifier of a sheet is answered with what everybody may see.
        $this->signIn('member@example.test');
        $theirs = $this->json('PUT', '/api/sheets/'.$id, [
            'panel' => $this->panel, 'rater' => $sheet['rater'], 'code' => $sheet['code'], 'ratings' => [['name' => 'feel', 'text' => '1']],
        ]);
        self::assertContains($this->answered(), [409, 422]);
        self::assertMatchesRegularExpression('/"ratings":\[\]|^(?!.*"ratings")/', json_encode($theirs) ?: '');
    }

    /** @param array<string, string> $codes by serial */
    private function sheetsTellNothing(string $device, string $sheet, array $codes): void
    {
        $this->client->request('GET', '/api/devices/'.$device.'/export.json');
        $export = $this->client->getInternalResponse()->getContent();
        $answers = [
            'page' => json_encode($this->page()), 'export' => $export, 'csv' => $this->given('/api/devices/'.$device.'/readings.csv'),
            'history of the panel' => $this->given('/api/history/panel/'.$this->panel), 'try' => $this->given('/api/revisions/'.$this->build.'/try'),
            'history of a sheet' => $this->given('/api/history/sheet/'.$sheet), 'weigh' => $this->given('/api/revisions/'.$this->build.'/weigh'),
            'rate' => json_encode($this->rate('Odile')), 'field' => $this->given('/api/revisions/'.$this->build.'/field'),
        ];
        foreach ($answers as $what => $text) {
            self::assertNotSame('', (string) $text, $what);
            self::assertDoesNotMatchRegularExpression('/"seed":\s*\d/', (string) $text, $what);
            self::assertDoesNotMatchRegularExpression('/"ratings":\s*\[\{/', (string) $text, $what);
            foreach ($codes as $serial => $code) {
                self::assertDoesNotMatchRegularExpression(
                    sprintf('/\{[^{}]*(%1$s"[^{}]*"%2$s"|"%2$s"[^{}]*%1$s")[^{}]*\}/', preg_quote($serial, '/'), $code), (string) $text, $what,
                );
            }
        }
        $served = (array) self::at($this->page(), 'served', 0);
        self::assertSame([3, 3, null, []], [$served['done'], $served['of'], $served['next'], $served['codes']]);
    }

    private function given(string $url): string
    {
        $this->client->request('GET', $url);

        return $this->client->getInternalResponse()->getContent();
    }

    public function testWhoeverServesSeesTheNextAndRatesNothing(): void
    {
        $this->world();
        $page = $this->page();
        self::assertSame([true, 'Lead'], [$page['serves'], self::text($page, 'panel', 'servesName')]);
        $first = (array) self::at($page, 'served', 0, 'next');
        self::assertSame($this->record()->serialOf(self::text($first, 'code')), $first['serial']);
        self::assertSame([], self::at($page, 'served', 0, 'codes'));
        self::assertSame(403, $this->sheet('Odile', self::text($first, 'code'), '50'));
        // Another serves from here on.
        $members = (array) $this->json('GET', '/api/workspaces/'.$this->workspace.'/members')['people'];
        $id = array_column($members, 'id', 'email');
        $named = fn (string $who, array $more = []): array => $this->json(
            'PUT', '/api/panels/'.$this->panel, ['serves' => $id[$who], 'version' => 1] + $more + $this->input(),
        );
        self::assertSame('serves', self::text($named('viewer@example.test'), 'violations', 0, 'path'), 'Who only looks serves nothing.');
        self::assertSame('raters', self::text($named('member@example.test', ['raters' => ['member', 'Bram']]), 'violations', 0, 'path'));
        self::assertSame('Member', self::text($named('member@example.test'), 'servesName'));
        self::assertNull(self::at($this->page(), 'served', 0, 'next'));
        // What the lead rates at an own session now counts as not blind, and says so to the end.
        self::assertSame(201, $this->sheet('Odile', self::text($first, 'code'), '50'));
        $said = 'Odile rated at a session of their own, where more than codes can be seen: that counts as not blind.';
        self::assertSame([$said], $this->page()['said']);
        $this->json('POST', '/api/panels/'.$this->panel.'/unblind', ['version' => 2]);
        self::assertSame(200, $this->answered());
        self::assertSame([$said], $this->page()['said']);
        self::assertContains($said, (array) self::at($this->json('GET', '/api/revisions/'.$this->build.'/weigh'), 'panels', 0, 'said'));
        self::assertStringContainsString('not blind', self::text(
            self::service(Connection::class)->fetchAssociative('SELECT confirmed FROM reading') ?: [], 'confirmed',
        ));
    }

    public function testALeadWhoMustKnowOpensItAndThatStaysSaid(): void
    {
        $this->world();
        $open = fn (string $why): array => $this->json('POST', '/api/panels/'.$this->panel.'/open', ['because' => $why]);
        $this->signIn('member@example.test');
        $open('I wonder');
        self::assertSame(403, $this->answered());
        $this->signIn('lead@example.test');
        self::assertSame('because', self::text($open(' '), 'violations', 0, 'path'));
        $open('A cord frayed on one of them.');
        $open('Once more');
        self::assertSame(200, $this->answered());
        $said = 'Lead looked which code was which before it was unblinded: A cord frayed on one of them.';
        $page = $this->page();
        self::assertSame([true, [$said]], [$page['isOpen'], $page['said']], 'Once.');
        self::assertCount(3, (array) self::at($page, 'served', 0, 'codes'));
        $this->signIn('member@example.test');
        self::assertSame([false, [$said], []], [
            $this->page()['isOpen'], $this->page()['said'], self::at($this->page(), 'served', 0, 'codes'),
        ], 'It is open to nobody else.');
        $this->signIn('lead@example.test');
        $this->allRate(true);
        $this->json('POST', '/api/panels/'.$this->panel.'/unblind', ['version' => 2]);
        self::assertContains($said, (array) self::at($this->json('GET', '/api/revisions/'.$this->build.'/weigh'), 'panels', 0, 'said'));
        self::assertIsInt(self::at($this->page(), 'panel', 'seed'));
    }

    /** What is blind goes out without its key and without what was said; afterwards all of it, and comes in as it was. */
    public function testADeviceFileKeepsTheBlind(): void
    {
        $this->world();
        $this->allRate(true);
        $device = $this->record()->trial()->revision()->device()->id()->toRfc4122();
        $file = (array) json_decode($this->given('/api/devices/'.$device.'/export.json'), true);
        self::assertSame([null, []], [self::at($file, 'panels', 0, 'seed'), $file['sheets']]);
        $this->json('POST', '/api/panels/'.$this->panel.'/unblind', ['version' => 1]);
        $before = $this->page();
        $file = (array) json_decode($this->given('/api/devices/'.$device.'/export.json'), true);
        self::assertCount(12, (array) $file['sheets']);
        $there = self::text($view = $this->json('POST', '/api/workspaces/'.$this->workspace.'/import', $file), 'device');
        self::assertSame(201, $this->answered(), json_encode($view) ?: '');
        $this->panel = self::text(
            self::service(Connection::class)->fetchAssociative('SELECT id FROM panel WHERE belongs_to = ?', [$there]) ?: [], 'id',
        );
        $after = $this->page();
        foreach (['sentence', 'results', 'preferences', 'blind', 'served', 'said'] as $part) {
            self::assertSame($before[$part], $after[$part], $part);
        }
    }
}
