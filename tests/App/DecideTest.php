<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Uid\Uuid;

/** What the chosen candidates come to, and what a decision makes of them; what was decided is never rewritten. */
final class DecideTest extends ApiTestCase
{
    private Bench $bench;

    protected function setUp(): void
    {
        parent::setUp();
        $this->bench = $this->bench();
        $this->limits(50.0, 10.0, 2);
    }

    /** @return iterable<string, array{list<array{string, float, float}>, array{string, string, string}, int}> candidates as choice, cost and hours; the sums; limits passed */
    public static function sums(): iterable
    {
        yield 'nothing' => [[], ['0.00 EUR', '0 h', '0'], 0];
        yield 'only what goes in counts' => [
            [['in', 12.5, 2.0], ['wait', 100.0, 50.0], ['drop', 100.0, 50.0], ['open', 100.0, 50.0]], ['12.50 EUR', '2 h', '1'], 0,
        ];
        yield 'cents are exact' => [[['in', 0.1, 0.0], ['in', 0.2, 0.0]], ['0.30 EUR', '0 h', '2'], 0];
        yield 'at the limit is within it' => [[['in', 30.0, 4.0], ['in', 20.0, 6.0]], ['50.00 EUR', '10 h', '2'], 0];
        yield 'a cent too much' => [[['in', 30.0, 4.0], ['in', 20.01, 5.0]], ['50.01 EUR', '9 h', '2'], 1];
        yield 'a minute too long' => [[['in', 1.0, 10.1]], ['1.00 EUR', '10.1 h', '1'], 1];
        yield 'one change too many' => [[['in', 1.0, 1.0], ['in', 1.0, 1.0], ['in', 1.0, 1.0]], ['3.00 EUR', '3 h', '3'], 1];
        yield 'everything at once' => [[['in', 40.0, 9.0], ['in', 40.0, 9.0], ['in', 40.0, 9.0]], ['120.00 EUR', '27 h', '3'], 3];
    }

    /**
     * @param list<array{string, float, float}> $candidates
     * @param array{string, string, string}     $sums
     */
    #[DataProvider('sums')]
    public function testWhatTheChosenComeTo(array $candidates, array $sums, int $over): void
    {
        foreach ($candidates as $i => [$choice, $cost, $hours]) {
            $this->candidate('Change '.$i, $choice, ['cost' => $cost, 'hours' => $hours]);
        }
        $c = (array) $this->next()['consequences'];
        $rows = array_map(static fn (mixed $row): string => self::text((array) $row, 'value'), array_values((array) $c['sums']));
        self::assertSame($sums[0], $rows[0]);
        self::assertSame((float) $sums[1], (float) $rows[1]);
        self::assertSame($sums[2], $rows[2]);
        self::assertCount($over, (array) $c['over']);
        self::assertSame(
            $over, count(array_filter((array) $c['sums'], static fn (mixed $row): bool => self::at((array) $row, 'over') === true)),
        );
    }

    public function testWithoutLimitsNothingIsPassed(): void
    {
        $this->limits(null, null, null);
        foreach (range(1, 5) as $i) {
            $this->candidate('Change '.$i, 'in', ['cost' => 1e6, 'hours' => 1e4]);
        }
        $c = (array) $this->next()['consequences'];
        self::assertSame([], $c['over']);
        foreach ((array) $c['sums'] as $row) {
            self::assertNull(self::at((array) $row, 'limit'));
        }
    }

    public function testTwoEffectsOnOneMetricCannotBeToldApart(): void
    {
        $effect = static fn (float $likely): array => [
            'effects' => [['metric' => 'push force', 'unit' => 'N', 'low' => $likely - 1, 'likely' => $likely, 'high' => $likely + 1]],
        ];
        $this->trial($this->bench, $this->bench->b, $this->bench->unitB, [43.0, 44.1, 42.7]);
        $this->candidate('Thinner', 'in', $effect(-3.0));
        self::assertSame([], self::at($this->next(), 'consequences', 'entangled'));
        $this->candidate('Wider', 'in', $effect(-2.0));
        $next = $this->next();
        self::assertCount(1, (array) self::at($next, 'consequences', 'entangled'));
        self::assertStringContainsString(
            'one build cannot tell “Thinner” and “Wider” apart', self::text($next, 'consequences', 'entangled', 0),
        );
        $forecast = (array) self::at($next, 'consequences', 'forecasts', 0);
        $now = (float) self::text($forecast, 'now');
        self::assertEqualsWithDelta((43.0 + 44.1 + 42.7) / 3, $now, 1e-9);
        self::assertEqualsWithDelta($now - 7.0, (float) self::text($forecast, 'low'), 1e-9);
        self::assertEqualsWithDelta($now - 3.0, (float) self::text($forecast, 'high'), 1e-9);
    }

    /** @return iterable<string, array{list<array{string, string}>, array<string, mixed>, string, string}> candidates, what is sent, where and what is said */
    public static function refused(): iterable
    {
        yield 'nothing was proposed' => [[], [], 'candidates', 'Nothing goes into the next build'];
        yield 'nothing goes in' => [[['a', 'wait'], ['b', 'drop']], [], 'candidates', 'Nothing goes into the next build'];
        yield 'one has no answer' => [[['a', 'in'], ['Bolder', 'open']], [], 'candidates', 'Bolder'];
        yield 'the letter is taken' => [[['a', 'in']], ['letter' => 'a'], 'letter', 'There is a build A already'];
        yield 'no letter' => [[['a', 'in']], ['letter' => ' '], 'letter', 'still empty'];
        yield 'a letter that is a word' => [[['a', 'in']], ['letter' => 'something'], 'letter', 'At most 8'];
        yield 'no identifier of the next build' => [[['a', 'in']], ['next' => 'C'], 'next', ''];
    }

    /**
     * @param list<array{string, string}> $candidates
     * @param array<string, mixed>        $sent
     */
    #[DataProvider('refused')]
    public function testWhatCannotBeDecidedYet(array $candidates, array $sent, string $path, string $says): void
    {
        foreach ($candidates as [$what, $choice]) {
            $this->candidate($what, $choice);
        }
        $answer = $this->decide($sent);
        self::assertSame([422, $path], [$this->answered(), self::text($answer, 'violations', 0, 'path')], json_encode($answer) ?: '');
        self::assertStringContainsString($says, self::text($answer, 'violations', 0, 'message'));
        self::assertCount(2, (array) $this->json('GET', '/api/devices/'.$this->bench->device.'/frame')['spine'], 'No build was begun.');
    }

    public function testTheNextBuildBeginsAsItsParentIs(): void
    {
        foreach ([['arm', '3 mm'], ['rake', '12.50 deg'], ['tyre', '1 1/2 in']] as [$name, $text]) {
            $this->put('parameters', ['revision' => $this->bench->b, 'name' => $name, 'text' => $text]);
        }
        $this->put(
            'parts',
            [
                'revision' => $this->bench->b, 'name' => 'Blade', 'material' => 'steel', 'quantity' => 3, 'cost' => 1.35,
                'note' => 'from the bin',
            ],
        );
        $this->candidate('Thicker blade', 'in', ['why' => 'It bent.', 'class' => 'strength']);
        $made = $this->decided();
        $new = $this->json('GET', '/api/revisions/'.self::text($made, 'next').'/build');
        self::assertSame(['same', 'same', 'same'], array_column((array) $new['parameters'], 'mark'));
        self::assertSame(
            ['3 mm', '12.50 deg', '1.5 in'],
            array_map(
                static fn (mixed $p): string => self::text((array) $p, 'here', 'measure', 'text'), array_values((array) $new['parameters']),
            ),
        );
        $part = (array) self::at($new, 'parts', 0, 'part');
        self::assertSame(
            ['Blade', 'steel', '3', 'from the bin'],
            array_map(static fn (string $f): string => self::text($part, $f), ['name', 'material', 'quantity', 'note']),
        );
        self::assertSame(['4.05', '0.00'], [self::text($new, 'cost'), trim(self::text($new, 'costDifference'), '+-±')]);
        self::assertSame($this->bench->b, self::text($new, 'parent', 'id'));
        $change = (array) self::at($new, 'changes', 0, 'change');
        self::assertSame(['Thicker blade', 'strength'], [self::text($change, 'what'), self::text($change, 'class')]);
        self::assertStringContainsString('It bent.', self::text($change, 'why'));
    }

    public function testEachCandidateGoesItsWay(): void
    {
        $this->candidate('Goes in', 'in');
        $this->candidate('Waits', 'wait', [], 'One at a time');
        $this->candidate('Is dropped', 'drop', [], 'Too dear');
        $made = $this->decided();
        $there = $this->json('GET', '/api/revisions/'.self::text($made, 'next').'/next');
        self::assertSame(['Waits'], array_column((array) $there['candidates'], 'what'));
        $here = $this->next();
        $settled = [];
        foreach ((array) $here['settled'] as $one) {
            $settled[self::text((array) $one, 'what')] = self::text((array) $one, 'reason');
        }
        self::assertSame('Too dear', $settled['Is dropped'] ?? '');
        self::assertArrayHasKey('Goes in', $settled);
        self::assertCount(1, (array) $here['decisions']);
        $lines = [];
        foreach ((array) self::at($made, 'known', 'lines') as $line) {
            $lines[self::text((array) $line, 'what')] = self::text((array) $line, 'choice');
        }
        self::assertSame(['Goes in' => 'in', 'Waits' => 'wait', 'Is dropped' => 'drop'], $lines);
    }

    public function testWhatWasKnownStaysAsItWas(): void
    {
        $this->trial($this->bench, $this->bench->b, $this->bench->unitB, [43.0, 44.1, 42.7]);
        $this->candidate('Thinner', 'in', ['cost' => 12.5, 'hours' => 1.5]);
        $id = self::text($this->decided(), 'id');
        $before = self::at($this->json('GET', '/api/decisions/'.$id), 'known');
        self::assertNotNull($before);
        $this->limits(1.0, 1.0, 1, 'CHF');
        $this->trial($this->bench, $this->bench->b, $this->bench->unitB, [80.0, 81.0, 82.0]);
        $this->json('PUT', '/api/requirements/'.$this->bench->requirement, [
            'device' => $this->bench->device, 'statement' => 'Heavy', 'metric' => 'push force', 'unit' => 'N', 'limit' => 90.0,
            'direction' => 'atLeast', 'version' => 1,
        ]);
        self::assertSame(200, $this->answered());
        self::assertSame($before, self::at($this->json('GET', '/api/decisions/'.$id), 'known'));
    }

    public function testADecisionIsNotTakenTwice(): void
    {
        $this->candidate('Thinner', 'in');
        $id = Uuid::v7()->toRfc4122();
        $sent = ['next' => Uuid::v7()->toRfc4122(), 'letter' => 'C', 'note' => 'Because.'];
        $first = $this->decide($sent, $id);
        self::assertSame(201, $this->answered());
        self::assertSame($first, $this->decide($sent, $id));
        self::assertSame(200, $this->answered());
        foreach ([['letter' => 'D'], ['note' => 'For another reason.'], ['next' => Uuid::v7()->toRfc4122()]] as $other) {
            $this->decide($other + $sent, $id);
            self::assertSame(409, $this->answered());
        }
        $this->decide(['next' => Uuid::v7()->toRfc4122(), 'letter' => 'D']);
        self::assertSame(422, $this->answered(), 'The candidates are decided on.');
    }

    public function testWhatWasDecidedOnIsNotRewritten(): void
    {
        $candidate = $this->candidate('Thinner', 'in');
        $this->decided();
        $this->json('PUT', '/api/candidates/'.$candidate, ['revision' => $this->bench->b, 'what' => 'Thicker', 'version' => 1]);
        self::assertSame(409, $this->answered());
        $this->json('POST', '/api/candidates/'.$candidate.'/withdraw', ['because' => 'x']);
        self::assertSame(409, $this->answered());
    }

    public function testAReasonIsAskedForWhereSomethingIsAnswered(): void
    {
        foreach (['wait', 'drop'] as $choice) {
            $answer = $this->json(
                'PUT', '/api/candidates/'.Uuid::v7()->toRfc4122(), ['revision' => $this->bench->b, 'what' => 'x', 'choice' => $choice],
            );
            self::assertSame(
                [422, 'reason'], [$this->answered(), self::text($answer, 'violations', 0, 'path')], $choice.json_encode($answer),
            );
        }
    }

    /** @return iterable<string, array{list<string>, string}> letters there are, the one proposed */
    public static function letters(): iterable
    {
        yield 'after B' => [[], 'C'];
        yield 'a letter that is taken is passed over' => [['C'], 'D'];
        yield 'some that are taken' => [['C', 'D', 'E'], 'F'];
    }

    /** @param list<string> $taken */
    #[DataProvider('letters')]
    public function testALetterIsProposed(array $taken, string $proposed): void
    {
        foreach ($taken as $letter) {
            $this->put('revisions', ['device' => $this->bench->device, 'letter' => $letter, 'parent' => $this->bench->a]);
        }
        self::assertSame($proposed, $this->next()['nextLetter']);
    }

    public function testAViewerDecidesNothing(): void
    {
        $this->candidate('Thinner', 'in');
        $this->signIn('viewer@example.test');
        $this->decide([]);
        self::assertSame(403, $this->answered());
        $this->signIn('lead@example.test');
        self::assertSame([], $this->next()['decisions']);
    }

    /** @param array<string, mixed> $more */
    private function candidate(string $what, string $choice, array $more = [], string $reason = 'It is worth it'): string
    {
        return $this->put('candidates', [
            'revision' => $this->bench->b, 'what' => $what, 'choice' => $choice, 'reason' => $choice === 'open' ? '' : $reason,
        ] + $more);
    }

    /** @return array<array-key, mixed> */
    private function next(): array
    {
        $sheet = $this->json('GET', '/api/revisions/'.$this->bench->b.'/next');
        self::assertSame(200, $this->answered(), json_encode($sheet) ?: '');

        return $sheet;
    }

    /**
     * @param array<string, mixed> $sent
     *
     * @return array<array-key, mixed>
     */
    private function decide(array $sent, ?string $id = null): array
    {
        return $this->json('PUT', '/api/decisions/'.($id ?? Uuid::v7()->toRfc4122()), $sent + [
            'revision' => $this->bench->b, 'next' => Uuid::v7()->toRfc4122(), 'letter' => 'C',
        ]);
    }

    /** @return array<array-key, mixed> */
    private function decided(): array
    {
        $made = $this->decide([]);
        self::assertSame(201, $this->answered(), json_encode($made) ?: '');

        return $made;
    }

    private function limits(?float $cost, ?float $hours, ?int $changes, string $currency = 'EUR'): void
    {
        $version = self::at($this->json('GET', '/api/devices/'.$this->bench->device.'/frame'), 'device', 'version');
        $this->json('PUT', '/api/devices/'.$this->bench->device, [
            'workspace' => $this->workspace, 'name' => 'Wagtail', 'currency' => $currency, 'costLimit' => $cost, 'hoursLimit' => $hours,
            'changesLimit' => $changes, 'version' => $version,
        ]);
        self::assertSame(200, $this->answered());
    }
}
