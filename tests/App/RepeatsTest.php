<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

/** The spread of a method's repeats is learnt from the builds before, and tells single runs of the next ones. */
final class RepeatsTest extends ApiTestCase
{
    private Bench $bench;

    protected function setUp(): void
    {
        parent::setUp();
        $this->bench = $this->bench();
    }

    /** @return array<string, mixed> a build with runs of one article of its own */
    private function build(string $letter, string $parent, float ...$forces): array
    {
        $build = $this->put('revisions', ['device' => $this->bench->device, 'letter' => $letter, 'parent' => $parent]);
        $article = $this->put('articles', ['revision' => $build, 'serial' => 'U-'.$letter]);

        return ['build' => $build, 'trial' => $this->trial($this->bench, $build, $article, array_values($forces)), 'article' => $article];
    }

    /** @return array<array-key, mixed> */
    private function compared(string $build, string $other): array
    {
        return (array) self::at($this->json('GET', '/api/revisions/'.$build.'/weigh?against='.$other), 'comparisons', 0);
    }

    public function testOneRunASideIsToldByWhatRepeatsOfTheMethodDo(): void
    {
        // 40, 41, 42, 43, 44 spread by √2.5 = 1.58 N, with four degrees.
        $this->trial($this->bench, $this->bench->a, $this->bench->unitA, [40.0, 41.0, 42.0, 43.0, 44.0]);
        $c = self::text($this->build('C', $this->bench->b, 60.0), 'build');
        $d = self::text($this->build('D', $c, 50.0), 'build');

        $row = $this->compared($d, $c);
        // t(4; 0.975)·√(2.5·2) = 2.776·2.236 = 6.2.
        self::assertSame(['lower', '−10.0 N [−16.2, −3.8]'], [$row['verdict'], self::text($row, 'difference', 'text')]);
        self::assertStringContainsString('from a single run, told by what repeats of the method do', self::text($row, 'sentence'));
        self::assertSame(
            'Counted in: repeats of “Push” spread by 1.58 N (5 earlier ones, on A).', self::text($row, 'further', 0, 'sentence'),
        );
        // Nothing is shown from one run.
        $cell = (array) self::at($this->json('GET', '/api/revisions/'.$d.'/weigh'), 'cells');
        self::assertContains('thin', array_column(array_filter($cell, is_array(...)), 'state'));
    }

    public function testARunOfAnEarlierBuildTellsAnotherSpreadAtOnce(): void
    {
        $this->trial($this->bench, $this->bench->a, $this->bench->unitA, [40.0, 41.0, 42.0, 43.0, 44.0]);
        $c = self::text($this->build('C', $this->bench->b, 60.0), 'build');
        $d = self::text($this->build('D', $c, 50.0), 'build');
        $before = self::text($this->compared($d, $c), 'difference', 'text');
        // Three more on B, the same within themselves: less spread, by six degrees in all.
        $this->trial($this->bench, $this->bench->b, $this->bench->unitB, [50.0, 50.1, 50.2]);
        $row = $this->compared($d, $c);
        self::assertNotSame($before, self::text($row, 'difference', 'text'));
        self::assertStringContainsString('(8 earlier ones, from A to B)', self::text($row, 'further', 0, 'sentence'));
    }

    public function testWhatSpreadsFartherThanItUsedToIsNotToldByIt(): void
    {
        $this->trial($this->bench, $this->bench->a, $this->bench->unitA, [40.0, 40.1, 40.2, 40.1, 40.0]);
        $c = self::text($this->build('C', $this->bench->b, 60.0, 70.0), 'build');
        $row = $this->compared(self::text($this->build('D', $c, 40.0, 55.0), 'build'), $c);
        self::assertStringStartsWith('Not counted in, since here they spread farther:', self::text($row, 'further', 0, 'sentence'));
        self::assertSame('indistinct', $row['verdict']);
    }

    public function testAnotherDeviceTellsItWhereTheMethodIsTheSame(): void
    {
        $this->trial($this->bench, $this->bench->a, $this->bench->unitA, [40.0, 41.0, 42.0, 43.0, 44.0]);
        $first = $this->bench->device;
        $this->bench = $this->bench();
        $c = self::text($this->build('C', $this->bench->b, 60.0), 'build');
        $d = self::text($this->build('D', $c, 50.0), 'build');
        self::assertSame('single', $this->compared($d, $c)['verdict'], 'A copy of a device tells it nothing.');
        $device = (array) self::at($this->json('GET', '/api/devices/'.$first.'/brief'), 'device');
        $this->json('PUT', '/api/devices/'.$first, ['name' => 'Dunlin'] + $device);
        self::assertSame(200, $this->answered());
        $row = $this->compared($d, $c);
        self::assertSame(
            'Counted in: repeats of “Push” spread by 1.58 N (5 earlier ones, on Dunlin).', self::text($row, 'further', 0, 'sentence'),
        );
    }

    public function testTheMethodSaysHowItsRepeatsWent(): void
    {
        $this->trial($this->bench, $this->bench->a, $this->bench->unitA, [40.0, 41.0, 42.0]);
        $this->trial($this->bench, $this->bench->b, $this->bench->unitB, [50.0, 52.0, 54.0]);
        $sheet = $this->json('GET', '/api/methods/'.$this->bench->method.'/sheet');
        self::assertContains(
            'Repeats spread by 1.58 N (6 of them: A 1.00 N and B 2.00 N).', (array) self::at($sheet, 'sections', 0, 'lines', 0, 'notes'),
        );
        $method = (array) $sheet['method'];
        $channel = ['difference' => 2.0] + (array) self::at($method, 'channels', 0);
        $this->json('PUT', '/api/methods/'.$this->bench->method, ['channels' => [$channel]] + $method);
        self::assertSame(200, $this->answered());
        $sheet = $this->json('GET', '/api/methods/'.$this->bench->method.'/sheet');
        // d = 2/1.58 = 1.26: eleven a side (Cohen 1988, table 2.4.1).
        self::assertContains(
            'By how far repeats spread, a difference of 2 N takes 11 runs a side, four times out of five.',
            (array) self::at($sheet, 'sections', 0, 'lines', 0, 'notes'),
        );
        $method = (array) $sheet['method'];
        $this->json('PUT', '/api/methods/'.$this->bench->method, ['rig' => 'Another frame'] + $method);
        self::assertSame(200, $this->answered());
        self::assertContains(
            'What its repeats spread by begins anew with this edition and rig: nothing was repeated yet (6 earlier ones under another edition or rig).',
            (array) self::at(
                $this->json('GET', '/api/methods/'.$this->bench->method.'/sheet'), 'sections', 0, 'lines', 0, 'notes',
            ),
        );
    }
}
