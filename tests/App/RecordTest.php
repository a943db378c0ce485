<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Uid\Uuid;

/** The manners of every write. */
final class RecordTest extends ApiTestCase
{
    /** @return iterable<string, array{string, string, array<string, mixed>}> kind, field, the rest of the body */
    public static function references(): iterable
    {
        yield 'a failure of another device\'s run' => ['failures', 'run', ['mode' => 'Bent']];
        yield 'a failure of another device\'s article' => ['failures', 'article', ['mode' => 'Bent']];
        yield 'an observation of another device\'s run' => ['observations', 'run', ['text' => 'Squeaks']];
        yield 'a candidate against another device\'s failure' => ['candidates', 'failures', ['what' => 'Wider']];
        yield 'a change against another device\'s failure' => ['changes', 'against', ['what' => 'Wider']];
    }

    /** @param array<string, mixed> $body */
    #[DataProvider('references')]
    public function testWhatARecordRefersToIsOfTheSameDevice(string $kind, string $field, array $body): void
    {
        $mine = $this->bench();
        $other = $this->bench();
        $trial = $this->trial($other, $other->a, $other->unitA, [40.0]);
        $run = self::text($this->json('GET', '/api/revisions/'.$other->a.'/try'), 'trials', 0, 'runs', 0, 'id');
        self::assertNotSame('', $trial);
        $named = match ($field) {
            'run' => $run,
            'article' => $other->unitA,
            default => $this->put('failures', ['revision' => $other->a, 'mode' => 'Theirs']),
        };
        $isList = in_array($field, ['failures', 'against'], true);
        $answer = $this->json('PUT', '/api/'.$kind.'/'.Uuid::v7()->toRfc4122(), [
            'revision' => $mine->a, $field => $isList ? [$named] : $named,
        ] + $body);
        self::assertSame(422, $this->answered(), json_encode($answer) ?: '');
        self::assertSame($isList ? $field.'[0]' : $field, self::text($answer, 'violations', 0, 'path'));
    }

    public function testTheSameWriteTwiceIsOneRecord(): void
    {
        $bench = $this->bench();
        $id = Uuid::v7()->toRfc4122();
        $body = ['revision' => $bench->b, 'what' => 'Thicker bracket 🔩 <b>', 'class' => 'strength'];
        $first = $this->json('PUT', '/api/changes/'.$id, $body);
        self::assertSame(201, $this->answered());
        $second = $this->json('PUT', '/api/changes/'.$id, $body);
        self::assertSame(200, $this->answered());
        self::assertSame($first, $second);
        self::assertSame('Thicker bracket 🔩 <b>', $first['what'], 'Markup and emoji are text.');
        self::assertCount(1, (array) self::at($this->json('GET', '/api/revisions/'.$bench->b.'/build'), 'changes'));
        self::assertCount(1, (array) $this->json('GET', '/api/history/change/'.$id)['rows']);
    }

    public function testTwoPeopleEditingOneRecord(): void
    {
        $bench = $this->bench();
        $id = $this->put('changes', ['revision' => $bench->b, 'what' => 'Thicker bracket']);
        $this->json('PUT', '/api/changes/'.$id, ['revision' => $bench->b, 'what' => 'Thicker bracket, 3 mm', 'version' => 1]);
        self::assertSame(200, $this->answered());
        $conflict = $this->json('PUT', '/api/changes/'.$id, ['revision' => $bench->b, 'what' => 'Other bracket', 'version' => 1]);
        self::assertSame(409, $this->answered());
        self::assertSame('Thicker bracket, 3 mm', self::text($conflict, 'theirs', 'what'));
        $this->json('PUT', '/api/changes/'.$id, ['revision' => $bench->b, 'what' => 'Other bracket', 'version' => 2]);
        self::assertSame(200, $this->answered());
        $history = (array) $this->json('GET', '/api/history/change/'.$id)['rows'];
        self::assertSame(
            ['Other bracket', 'Thicker bracket, 3 mm', 'Lead'],
            [self::text($history, 0, 'is', 'what'), self::text($history, 0, 'was', 'what'), self::text($history, 0, 'by')],
        );
    }

    public function testWhatIsWithdrawnStaysReadable(): void
    {
        $bench = $this->bench();
        $id = $this->put('failures', ['revision' => $bench->a, 'mode' => 'Broke']);
        $this->json('POST', '/api/failures/'.$id.'/withdraw', ['because' => ' ']);
        self::assertSame(422, $this->answered());
        $this->json('POST', '/api/failures/'.$id.'/withdraw', ['because' => 'Logged on the wrong build']);
        self::assertSame(200, $this->answered());
        self::assertSame([], self::at($this->json('GET', '/api/revisions/'.$bench->a.'/find'), 'failures'));
        self::assertSame('Broke', self::text($this->json('GET', '/api/history/failure/'.$id), 'rows', 0, 'is', 'mode'));
    }

    public function testAReadingIsAmendedNotOverwritten(): void
    {
        $bench = $this->bench();
        $trial = $this->put('trials', ['revision' => $bench->a, 'method' => $bench->method, 'name' => 'Pushing']);
        $run = $this->put('runs', ['trial' => $trial, 'article' => $bench->unitA]);
        $id = $this->put('readings', ['run' => $run, 'channel' => 'push', 'text' => '9.00 lbf']);
        $this->json('PUT', '/api/readings/'.$id, ['run' => $run, 'channel' => 'push', 'text' => '8 N', 'version' => 1]);
        self::assertSame(422, $this->answered());
        $this->json('PUT', '/api/readings/'.Uuid::v7()->toRfc4122(), ['run' => $run, 'channel' => 'push', 'text' => '41 N']);
        self::assertSame(409, $this->answered(), 'One reading a channel and run.');
        $this->json('POST', '/api/readings/'.$id.'/amend', ['text' => '41 mm', 'reason' => 'x', 'version' => 1]);
        self::assertSame(422, $this->answered());
        $amended = $this->json(
            'POST', '/api/readings/'.$id.'/amend', ['text' => '41.0 N', 'reason' => 'Read the wrong line', 'version' => 1],
        );
        self::assertSame(200, $this->answered());
        self::assertSame(
            ['9.00 lbf', '41.0 N', 'Read the wrong line'],
            [
                self::text($amended, 'typed', 'text'), self::text($amended, 'current', 'text'),
                self::text($amended, 'amendments', 0, 'reason'),
            ],
        );
    }

    public function testAnOutcomeIsAmendedNotOverwritten(): void
    {
        $bench = $this->bench();
        $trial = $this->trial($bench, $bench->a, $bench->unitA, [41.0]);
        $run = self::text($this->json('GET', '/api/revisions/'.$bench->a.'/try'), 'trials', 0, 'runs', 0, 'id');
        $this->json(
            'PUT', '/api/runs/'.$run,
            ['trial' => $trial, 'article' => $bench->unitA, 'outcome' => 'failed', 'outcomeReason' => 'x', 'version' => 2],
        );
        self::assertSame(422, $this->answered());
        $this->json('POST', '/api/runs/'.$run.'/amend', ['outcome' => 'void', 'reason' => 'Wheel was flat', 'version' => 2]);
        self::assertSame(200, $this->answered());
        $sheet = $this->json('GET', '/api/runs/'.$run);
        self::assertSame(['void', 'held'], [self::text($sheet, 'run', 'outcome'), self::text($sheet, 'run', 'amendments', 0, 'text')]);
        self::assertSame(
            'none', self::text($this->json('GET', '/api/revisions/'.$bench->a.'/weigh'), 'cells', 0, 'state'), 'A void run shows nothing.',
        );
    }

    public function testHistoryCannotBeRewrittenByLaterEdits(): void
    {
        $bench = $this->bench();
        $this->trial($bench, $bench->a, $bench->unitA, [41.0]);
        $this->json(
            'PUT', '/api/articles/'.$bench->unitA, ['revision' => $bench->a, 'serial' => 'U-1', 'lots' => ['sheet: P-9'], 'version' => 1],
        );
        self::assertSame(200, $this->answered());
        $file = $this->exportedFile($bench->device);
        self::assertSame('P-1', self::text($file, 'configurations', self::text($file, 'runs', 0, 'configuration'), 'lots', 'sheet'));
    }

    /** @return array<array-key, mixed> */
    private function exportedFile(string $device): array
    {
        $this->client->request('GET', '/api/devices/'.$device.'/export.json');
        $decoded = json_decode($this->client->getInternalResponse()->getContent(), true);

        return is_array($decoded) ? $decoded : [];
    }
}
