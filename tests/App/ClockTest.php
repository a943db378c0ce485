<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use Symfony\Component\Uid\Uuid;

/** A device whose clock is wrong: what was put right by it says so, and what would begin in the future asks. */
final class ClockTest extends ApiTestCase
{
    private string $trial = '';

    private function begin(string $at, mixed ...$more): string
    {
        $bench = $this->bench();
        $this->trial = $this->put('trials', ['revision' => $bench->a, 'method' => $bench->method, 'name' => 'Pushing']);
        $id = Uuid::v7()->toRfc4122();
        $this->json('PUT', '/api/runs/'.$id, ['trial' => $this->trial, 'startedAt' => $at] + $more);

        return $id;
    }

    private static function in(string $when): string
    {
        return (new \DateTimeImmutable($when))->format(\DATE_ATOM);
    }

    public function testARunThatWouldBeginInTheFutureAsks(): void
    {
        $id = $this->begin(self::in('+2 hours 3 minutes 1 second'));
        self::assertSame(422, $this->answered());
        $answer = json_decode((string) $this->client->getResponse()->getContent(), true);
        self::assertIsArray($answer);
        self::assertSame('asks-back', str_replace('urn:lustrum:problem:', '', self::text($answer, 'type')));
        self::assertSame('future', self::text($answer, 'questions', 0, 'about'));
        self::assertMatchesRegularExpression(
            '/^This run would begin in 2 h [23] min\. Is that so, or is the clock wrong/', self::text($answer, 'questions', 0, 'sentence'),
        );
        $this->json('PUT', '/api/runs/'.$id, ['trial' => $this->trial, 'startedAt' => self::in('+2 hours'), 'inFuture' => true]);
        self::assertSame(201, $this->answered(), 'Somebody was asked.');
    }

    public function testClocksThatAreRightDifferALittle(): void
    {
        $this->begin(self::in('+90 seconds'));
        self::assertSame(201, $this->answered());
    }

    public function testWhatWasPutRightSaysSo(): void
    {
        $id = $this->begin(self::in('-1 hour'), clockAhead: 7380.0);
        self::assertSame(201, $this->answered());
        $said = 'The clock of the device that this was recorded on was 2 h 3 min ahead; its times are put right by that.';
        self::assertContains($said, (array) $this->json('GET', '/api/runs/'.$id)['noticed']);
        // Whoever edits it later, on a device whose clock is right, changes nothing of that.
        $this->json('PUT', '/api/runs/'.$id, ['trial' => $this->trial, 'note' => 'Written up in the evening', 'version' => 1, 'clockAhead' => 0.0]);
        self::assertSame(200, $this->answered());
        self::assertContains($said, (array) $this->json('GET', '/api/runs/'.$id)['noticed']);
    }

    public function testWritingUpInTheEveningIsNoWrongClock(): void
    {
        $id = $this->begin(self::in('-9 hours'), clockAhead: -12.0);
        self::assertSame(201, $this->answered());
        self::assertStringNotContainsString('clock', json_encode($this->json('GET', '/api/runs/'.$id)['noticed']) ?: '');
    }
}
