<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use PHPUnit\Framework\Attributes\DataProvider;

/** A build beside its parent: what differs, by how much, what it costs, and what the articles have been through. */
final class BuildTest extends ApiTestCase
{
    private Bench $bench;

    protected function setUp(): void
    {
        parent::setUp();
        $this->bench = $this->bench();
    }

    /** @return iterable<string, array{?string, ?string, array{string, ?string, ?string}}> of the parent, of the build; mark, difference, per cent */
    public static function parameters(): iterable
    {
        yield 'the same' => ['3 mm', '3 mm', ['same', null, null]];
        yield 'the same in another unit' => ['25.4 mm', '1 in', ['same', null, null]];
        yield 'more' => ['3.0 mm', '3.6 mm', ['changed', '+0.6 mm', '+20 %']];
        yield 'less' => ['4.0 mm', '3.0 mm', ['changed', '−1.0 mm', '−25 %']];
        yield 'twice as much' => ['10 N', '20 N', ['changed', '+10 N', '+100 %']];
        yield 'from nought there is no per cent' => ['0 mm', '2 mm', ['changed', '+2 mm', null]];
        yield 'temperatures have no per cent' => ['20 °C', '25 °C', ['changed', '+5 °C', null]];
        yield 'new' => [null, '3 mm', ['new', null, null]];
        yield 'gone' => ['3 mm', null, ['gone', null, null]];
    }

    /** @param array{string, ?string, ?string} $expected */
    #[DataProvider('parameters')]
    public function testAParameterBesideTheParents(?string $before, ?string $now, array $expected): void
    {
        $this->parameter($this->bench->a, $before);
        $this->parameter($this->bench->b, $now);
        $row = (array) self::at($this->sheet(), 'parameters', 0);
        self::assertSame($expected, [$row['mark'], $row['difference'], $row['percent']], json_encode($row, JSON_UNESCAPED_UNICODE) ?: '');
    }

    public function testAQuantityOfAnotherKindIsSaidToBe(): void
    {
        $this->parameter($this->bench->a, '3 mm');
        $this->parameter($this->bench->b, '3 N');
        $row = (array) self::at($this->sheet(), 'parameters', 0);
        self::assertSame('changed', $row['mark']);
        self::assertIsString($row['difference']);
        self::assertNull($row['percent']);
    }

    public function testAFirstBuildHasNothingToDifferFrom(): void
    {
        $this->parameter($this->bench->a, '3 mm');
        $this->put('parts', ['revision' => $this->bench->a, 'name' => 'Arm', 'cost' => 2.0]);
        $sheet = $this->json('GET', '/api/revisions/'.$this->bench->a.'/build');
        self::assertSame(['same', 'same'], [self::text($sheet, 'parameters', 0, 'mark'), self::text($sheet, 'parts', 0, 'mark')]);
        self::assertNull($sheet['parent']);
        self::assertSame(['2.00', null, ''], [$sheet['cost'], $sheet['parentCost'], $sheet['costAgainst']]);
    }

    /** @return iterable<string, array{?array<string, mixed>, ?array<string, mixed>, string, string, string}> the parent's, the build's; mark, what it says, difference of cost */
    public static function parts(): iterable
    {
        $arm = ['name' => 'Arm', 'material' => 'steel', 'quantity' => 2, 'cost' => 1.1];
        yield 'the same' => [$arm, $arm, 'same', '', '0.00'];
        yield 'of something else' => [$arm, ['material' => 'ash'] + $arm, 'changed', 'steel', '0.00'];
        yield 'one more' => [$arm, ['quantity' => 3] + $arm, 'changed', '2', '1.10'];
        yield 'dearer' => [$arm, ['cost' => 1.2] + $arm, 'changed', '1.10', '0.20'];
        yield 'cheaper, and more' => [$arm, ['cost' => 0.1, 'quantity' => 3] + $arm, 'changed', '1.10', '-1.90'];
        yield 'new' => [null, $arm, 'new', '', '2.20'];
        yield 'gone' => [$arm, null, 'gone', '', '-2.20'];
    }

    /**
     * @param array<string, mixed>|null $before
     * @param array<string, mixed>|null $now
     */
    #[DataProvider('parts')]
    public function testAPartBesideTheParents(?array $before, ?array $now, string $mark, string $says, string $difference): void
    {
        foreach ([$this->bench->a => $before, $this->bench->b => $now] as $build => $part) {
            $part === null || $this->put('parts', ['revision' => $build] + $part);
        }
        $sheet = $this->sheet();
        self::assertSame($mark, self::text($sheet, 'parts', 0, 'mark'));
        self::assertStringContainsString($says, self::text($sheet, 'parts', 0, 'differs'));
        self::assertSame($difference, str_replace(['+', '−', '±'], ['', '-', ''], self::text($sheet, 'costDifference')));
    }

    public function testCostsAreExact(): void
    {
        foreach (range(1, 10) as $i) {
            $this->put('parts', ['revision' => $this->bench->b, 'name' => 'Part '.$i, 'quantity' => 1, 'cost' => 0.1]);
        }
        self::assertSame('1.00', $this->sheet()['cost']);
        $this->put('parts', ['revision' => $this->bench->b, 'name' => 'Wire', 'quantity' => 0.333, 'cost' => 3.0]);
        self::assertSame('2.00', $this->sheet()['cost'], '0.999 rounds up, once.');
    }

    public function testAPartIsThereOnce(): void
    {
        $this->put('parts', ['revision' => $this->bench->b, 'name' => 'Arm']);
        foreach (['Arm', 'arm', ' Arm '] as $name) {
            $this->json(
                'PUT', '/api/parts/01a21399-f267-7ee4-95b9-399e024a25'.bin2hex(random_bytes(1)),
                ['revision' => $this->bench->b, 'name' => $name],
            );
            self::assertContains($this->answered(), $name === 'Arm' ? [409, 422] : [201, 409, 422]);
        }
        $this->put('parts', ['revision' => $this->bench->a, 'name' => 'Arm']);
    }

    public function testAnArticleHasAPast(): void
    {
        $this->trial($this->bench, $this->bench->b, $this->bench->unitB, [40.0, 41.0]);
        $run = self::text($this->json('GET', '/api/revisions/'.$this->bench->b.'/try'), 'trials', 0, 'runs', 0, 'id');
        $this->json('POST', '/api/runs/'.$run.'/amend', ['outcome' => 'failed', 'reason' => 'It bent', 'version' => 2]);
        self::assertSame(200, $this->answered());
        $fresh = $this->put('articles', ['revision' => $this->bench->b, 'serial' => 'U-3']);
        $past = [];
        foreach ((array) $this->sheet()['articles'] as $row) {
            $past[self::text((array) $row, 'article', 'id')] = [
                self::at((array) $row, 'runs'), self::at((array) $row, 'failures'), self::at((array) $row, 'lost'),
            ];
        }
        self::assertSame([2, 1, 0], $past[$this->bench->unitB]);
        self::assertSame([0, 0, 0], $past[$fresh]);
    }

    public function testWhatWasExpectedStandsBesideWhatCame(): void
    {
        foreach ([-3, 3] as $expected) {
            $this->put('changes', [
                'revision' => $this->bench->b, 'what' => 'Change of '.$expected,
                'effects' => [['metric' => 'push force', 'unit' => 'N', 'likely' => (float) $expected]],
            ]);
        }
        $this->put('changes', ['revision' => $this->bench->b, 'what' => 'Painted', 'class' => 'cosmetic']);
        self::assertSame(['nobodyLooked', 'nobodyLooked', 'nobodyLooked'], array_column((array) $this->sheet()['changes'], 'computed'));
        $this->trial($this->bench, $this->bench->a, $this->bench->unitA, [43.0, 43.1, 42.9, 43.0]);
        $this->trial($this->bench, $this->bench->b, $this->bench->unitB, [40.0, 40.1, 39.9, 40.0]);
        $seen = [];
        foreach ((array) $this->sheet()['changes'] as $row) {
            $seen[self::text((array) $row, 'change', 'what')] = self::text((array) $row, 'computed');
        }
        self::assertSame(['Change of -3' => 'fixed', 'Change of 3' => 'worse', 'Painted' => 'nobodyLooked'], $seen);
        $first = (array) self::at($this->sheet(), 'changes', 0);
        self::assertSame(8, $first['runs']);
        self::assertSame(['Change of 3'], $first['together'], 'Two on one metric cannot be told apart.');
        self::assertEqualsWithDelta(-3.0, (float) self::text($first, 'seen', 'value'), 1e-9);
    }

    public function testOnesOwnVerdictStandsBesideTheComputedOne(): void
    {
        $change = $this->put(
            'changes',
            [
                'revision' => $this->bench->b, 'what' => 'Thinner',
                'effects' => [['metric' => 'push force', 'unit' => 'N', 'likely' => -3.0]],
            ],
        );
        $this->json('PUT', '/api/changes/'.$change, [
            'revision' => $this->bench->b, 'what' => 'Thinner',
            'effects' => [['metric' => 'push force', 'unit' => 'N', 'likely' => -3.0]], 'version' => 1,
            'verdict' => 'fixed', 'verdictNote' => 'I saw it.',
        ]);
        self::assertSame(200, $this->answered());
        $row = (array) self::at($this->sheet(), 'changes', 0);
        self::assertSame(['fixed', 'I saw it.', 'nobodyLooked'], [
            self::text($row, 'change', 'verdict'), self::text($row, 'change', 'verdictNote'), self::text($row, 'computed'),
        ]);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function refused(): iterable
    {
        yield 'a parent of another device' => [['parent' => '01a21399-f267-7ee4-95b9-399e024a2527'], 'parent'];
        yield 'a letter that is there' => [['letter' => 'A'], 'letter'];
        yield 'a state that is none' => [['letter' => 'Q', 'state' => 'flying'], 'state'];
        yield 'firmware without end' => [['letter' => 'Q', 'firmware' => str_repeat('x', 500)], 'firmware'];
    }

    /** @param array<string, mixed> $with */
    #[DataProvider('refused')]
    public function testABuildThatCannotBe(array $with, string $path): void
    {
        $answer = $this->json(
            'PUT', '/api/revisions/01a21399-f267-7ee4-95b9-399e024a2599', $with + ['device' => $this->bench->device, 'letter' => 'Q'],
        );
        self::assertContains($this->answered(), [409, 422], json_encode($answer) ?: '');
        self::assertTrue($this->answered() === 409 || self::text($answer, 'violations', 0, 'path') === $path, json_encode($answer) ?: '');
    }

    public function testABuildIsNotItsOwnAncestor(): void
    {
        $this->json('PUT', '/api/revisions/'.$this->bench->a, [
            'device' => $this->bench->device, 'letter' => 'A', 'parent' => $this->bench->b, 'version' => 1,
        ]);
        self::assertSame(422, $this->answered());
        $this->json('PUT', '/api/revisions/'.$this->bench->a, [
            'device' => $this->bench->device, 'letter' => 'A', 'parent' => $this->bench->a, 'version' => 1,
        ]);
        self::assertSame(422, $this->answered());
    }

    private function parameter(string $build, ?string $text): void
    {
        $text === null || $this->put('parameters', ['revision' => $build, 'name' => 'arm', 'text' => $text]);
    }

    /** @return array<array-key, mixed> */
    private function sheet(): array
    {
        $sheet = $this->json('GET', '/api/revisions/'.$this->bench->b.'/build');
        self::assertSame(200, $this->answered(), json_encode($sheet) ?: '');

        return $sheet;
    }
}
