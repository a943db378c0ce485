<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use Symfony\Component\Uid\Uuid;

/** A course on a run: what it comes to, what is refused, and a milestone that becomes a reading. */
final class CourseTest extends ApiTestCase
{
    public function testWhatIsReadOffItBecomesAReading(): void
    {
        $bench = $this->bench();
        $method = $this->put('methods', [
            'device' => $bench->device, 'name' => 'Cool', 'safety' => ['abort' => 'Smoke.'],
            'channels' => [['key' => 'until', 'metric' => 'time until cool', 'unit' => 's']],
        ]);
        $trial = $this->put('trials', ['revision' => $bench->a, 'method' => $method, 'name' => 'Cooling']);
        $run = $this->put('runs', ['trial' => $trial]);
        $body = [
            'run' => $run, 'name' => 'Plate', 'unit' => '°C', 'timeUnit' => 'min', 'text' => "0; 80\n5; 50\n10; 35\n20; 26",
            'marks' => [['kind' => 'first', 'value' => 35.0], ['kind' => 'peak'], ['kind' => 'first', 'value' => 10.0]],
        ];
        $course = $this->put('courses', $body);
        $row = (array) self::at($this->json('GET', '/api/runs/'.$run), 'courses', 0);
        self::assertSame([0, 300, 600, 1200], self::at($row, 't'));
        self::assertSame(
            ['First at 35.0 °C: 600 s', 'Peak: 80.0 °C', 'First at 10.0 °C: never in this course'],
            array_column((array) $row['results'], 'sentence'),
        );
        self::assertSame('', self::text($row, 'fit'), 'Four values say too little of where it goes.');

        $this->put('readings', [
            'run' => $run, 'channel' => 'until', 'text' => self::text($row, 'results', 0, 'reading'),
            'confirmed' => self::text($row, 'results', 0, 'origin'),
        ]);
        $sheet = $this->json('GET', '/api/runs/'.$run);
        self::assertSame(['600 s', 'From the course of Plate'], [
            self::text($sheet, 'readings', 0, 'current', 'text'), self::text($sheet, 'readings', 0, 'confirmed'),
        ]);

        foreach (['text' => ['text' => "0 1\n2"], 'unit' => ['unit' => 'furlong'], 'timeUnit' => ['timeUnit' => 'd']] as $path => $wrong) {
            $answer = $this->json('PUT', '/api/courses/'.Uuid::v7()->toRfc4122(), $wrong + $body);
            self::assertSame([422, $path], [$this->answered(), self::text($answer, 'violations', 0, 'path')]);
        }
        $this->json('POST', '/api/courses/'.$course.'/withdraw', ['because' => 'Another plate.']);
        self::assertSame([], self::at($this->json('GET', '/api/runs/'.$run), 'courses'));
    }

    public function testACommonStartIsWorkedOutWithItsInterval(): void
    {
        $bench = $this->bench();
        $trial = $this->put('trials', ['revision' => $bench->a, 'method' => $bench->method, 'name' => 'Cooling']);
        $run = $this->put('runs', ['trial' => $trial]);
        $lines = array_map(
            static fn (int $i): string => $i.'; '.round(20 + 60 * exp(-0.12 * $i) + ($i % 2 === 0 ? 0.3 : -0.3), 2),
            range(0, 24, 2),
        );
        $this->put('courses', [
            'run' => $run, 'name' => 'Plate', 'unit' => '°C', 'timeUnit' => 'min', 'text' => implode("\n", $lines),
            'marks' => [
                ['kind' => 'standard', 'value' => 30.0, 'start' => 80.0, 'around' => 22.0],
                ['kind' => 'standard', 'value' => 20.0, 'around' => 22.0],
            ],
        ]);
        $row = (array) self::at($this->json('GET', '/api/runs/'.$run), 'courses', 0);
        self::assertStringStartsWith('From 80.0 °C to 30.0 °C, going towards 22.0 °C: ', self::text($row, 'results', 0, 'sentence'));
        self::assertStringContainsString(', 95 %], by its own rate.', self::text($row, 'results', 0, 'sentence'));
        self::assertStringEndsWith(' s', self::text($row, 'results', 0, 'reading'));
        self::assertStringContainsString('for a start at 80.0 °C', self::text($row, 'results', 0, 'origin'));
        self::assertStringContainsString('never reaches', self::text($row, 'results', 1, 'sentence'));
        self::assertSame('', self::text($row, 'results', 1, 'reading'), 'Nothing is kept of what is never reached.');
    }
}
