<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use Doctrine\DBAL\Connection;
use Lustrum\Core\Run\Row;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Uid\Uuid;

/** "It was always so": what was written down wrong or late is taken over by the runs, visibly, and by no other build's. */
final class CorrectTest extends ApiTestCase
{
    private Bench $bench;

    protected function setUp(): void
    {
        parent::setUp();
        $this->bench = $this->bench();
        $this->put('parameters', ['revision' => $this->bench->a, 'name' => 'arm', 'text' => '3 mm']);
        $this->put('parts', ['revision' => $this->bench->a, 'name' => 'clip', 'material' => 'oak']);
        $this->trial($this->bench, $this->bench->a, $this->bench->unitA, [43.0, 44.0]);
        $this->trial($this->bench, $this->bench->b, $this->bench->unitB, [41.0]);
    }

    public function testAParameterUnderAnotherNameTakesThePlaceOfTheOld(): void
    {
        $id = $this->idOf('parameters', 'arm');
        $this->change('parameters', $id, ['name' => 'reach', 'text' => '4 mm', 'correction' => 'The drawing calls it reach.']);
        [$names, $values] = [$this->made('parameters', 'name'), $this->made('parameters', 'value')];
        self::assertSame([['reach'], ['reach']], $names, 'Not beside the old one.');
        self::assertSame([[4.0], [4.0]], $values);
        self::assertStringContainsString('reach 4 mm was always so, which 2 runs took over', $this->said());
    }

    public function testWhatIsWorkedOutIsCorrectedToTheLastDigit(): void
    {
        $this->put('parameters', ['revision' => $this->bench->a, 'name' => 'swing', 'text' => 'mm', 'formula' => 'arm * pi / 7']);
        $id = $this->idOf('parameters', 'swing');
        $this->change('parameters', $id, ['name' => 'swing', 'text' => 'mm', 'formula' => 'arm * pi / 9', 'correction' => 'Nine of them.']);
        $kept = self::service(Connection::class)->fetchOne('SELECT measure_value FROM parameter WHERE id = ?', [$id]);
        self::assertSame(json_encode(3 * \M_PI / 9), $kept, 'As it was worked out, not as fourteen digits of it.');
        self::assertContains(3 * \M_PI / 9, $this->made('parameters', 'value')[0]);
    }

    public function testAPartIsCorrectedWithItsMaterial(): void
    {
        $this->change('parts', $this->idOf('parts', 'clip'), ['name' => 'clip', 'material' => 'ash', 'correction' => 'It was ash.']);
        self::assertSame([['ash'], ['ash']], $this->made('parts', 'material'));
        self::assertStringContainsString('clip ash was always so', $this->said());
    }

    public function testAPartThatWasForgottenJoinsTheOthers(): void
    {
        $this->put('parts', ['revision' => $this->bench->a, 'name' => 'peg', 'material' => 'ash', 'correction' => 'Nobody listed it.']);
        self::assertSame([['clip', 'peg'], ['clip', 'peg']], $this->made('parts', 'name'));
    }

    public function testFirmwareIsCorrected(): void
    {
        $this->change('revisions', $this->bench->a, [
            'device' => $this->bench->device, 'letter' => 'A', 'firmware' => '1.2', 'correction' => 'The label was old.',
        ]);
        $firmware = array_map(static fn (array $c): string => Row::text($c['firmware'] ?? ''), $this->configurations($this->bench->a));
        self::assertSame(['1.2', '1.2'], $firmware);
        $other = array_map(static fn (array $c): string => Row::text($c['firmware'] ?? ''), $this->configurations($this->bench->b));
        self::assertSame([''], $other, 'The child keeps its own.');
    }

    public function testCorrectedTwiceItIsSaidTwice(): void
    {
        $id = $this->idOf('parameters', 'arm');
        $this->change('parameters', $id, ['name' => 'arm', 'text' => '4 mm', 'correction' => 'Misread.']);
        $this->change('parameters', $id, ['name' => 'arm', 'text' => '5 mm', 'correction' => 'Misread again.'], 2);
        $all = (array) self::at($this->json('GET', '/api/revisions/'.$this->bench->a.'/build'), 'revision', 'corrections');
        self::assertCount(2, $all);
        self::assertSame([[5.0], [5.0]], $this->made('parameters', 'value'));
    }

    public function testTheSameCorrectionSentTwiceIsOne(): void
    {
        $id = Uuid::v7()->toRfc4122();
        $body = ['revision' => $this->bench->a, 'name' => 'rib', 'text' => '2 mm', 'correction' => 'Forgotten.'];
        $first = $this->json('PUT', '/api/parameters/'.$id, $body);
        self::assertSame(201, $this->answered());
        self::assertSame($first, $this->json('PUT', '/api/parameters/'.$id, $body));
        self::assertCount(1, (array) self::at($this->json('GET', '/api/revisions/'.$this->bench->a.'/build'), 'revision', 'corrections'));
    }

    /** @return iterable<string, array{array<string, mixed>, string}> body, path of what is wrong */
    public static function refused(): iterable
    {
        yield 'no value' => [['name' => 'rib', 'text' => '', 'correction' => 'x'], 'text'];
        yield 'too long a reason' => [['name' => 'rib', 'text' => '2 mm', 'correction' => str_repeat('x', 100000)], 'correction'];
    }

    /** @param array<string, mixed> $body */
    #[DataProvider('refused')]
    public function testARefusedCorrectionChangesNoRun(array $body, string $path): void
    {
        $before = $this->configurations($this->bench->a);
        $answer = $this->json('PUT', '/api/parameters/'.Uuid::v7()->toRfc4122(), $body + ['revision' => $this->bench->a]);
        self::assertSame(422, $this->answered(), (string) json_encode($answer));
        self::assertSame($path, self::text($answer, 'violations', 0, 'path'));
        self::assertSame($before, $this->configurations($this->bench->a));
    }

    public function testACorrectionUnderANameThatAnotherHasIsRefused(): void
    {
        $before = $this->configurations($this->bench->a);
        $this->json('PUT', '/api/parameters/'.Uuid::v7()->toRfc4122(), [
            'revision' => $this->bench->a, 'name' => 'ARM', 'text' => '2 mm', 'correction' => 'x',
        ]);
        self::assertSame(409, $this->answered());
        self::assertSame($before, $this->configurations($this->bench->a));
    }

    public function testAViewerCorrectsNothing(): void
    {
        $this->signIn('viewer@example.test');
        $this->json('PUT', '/api/parameters/'.Uuid::v7()->toRfc4122(), [
            'revision' => $this->bench->a, 'name' => 'rib', 'text' => '2 mm', 'correction' => 'x',
        ]);
        self::assertSame(403, $this->answered());
    }

    public function testWhatIsConcludedFollowsTheCorrection(): void
    {
        $this->put('parameters', ['revision' => $this->bench->a, 'name' => 'rib', 'text' => '2 mm']);
        $of = fn (): array => array_column(array_filter(
            array_map(static fn (mixed $c): array => (array) $c, (array) self::at(
                $this->json('GET', '/api/revisions/'.$this->bench->a.'/weigh'), 'cells',
            )),
            fn (array $c): bool => ($c['revision'] ?? '') === $this->bench->a,
        ), 'texture');
        self::assertSame(['outline'], $of(), 'The runs were made without the rib: what they show is older.');
        $this->change('parameters', $this->idOf('parameters', 'rib'), ['name' => 'rib', 'text' => '2 mm', 'correction' => 'It was there.']);
        self::assertSame(['sparse'], $of(), 'Two runs, made with the build as it is.');
    }

    /** @param array<string, mixed> $fields */
    private function change(string $kind, string $id, array $fields, int $version = 1): void
    {
        $body = $fields + ($kind === 'revisions' ? [] : ['revision' => $this->bench->a]) + ['version' => $version];
        $answer = $this->json('PUT', '/api/'.$kind.'/'.$id, $body);
        self::assertSame(200, $this->answered(), (string) json_encode($answer));
    }

    private function idOf(string $kind, string $name): string
    {
        $table = ['parameters' => 'parameter', 'parts' => 'part'][$kind] ?? '';

        return Row::text(self::service(Connection::class)->fetchOne("SELECT id FROM $table WHERE name = ?", [$name]));
    }

    /** @return list<list<mixed>> one field of the parameters or parts that each run of A was made with, in the order of the alphabet */
    private function made(string $list, string $field): array
    {
        return array_map(static function (array $c) use ($list, $field): array {
            $values = array_column((array) ($c[$list] ?? []), $field);
            sort($values);

            return array_map(static fn (mixed $v): mixed => is_int($v) ? (float) $v : $v, $values);
        }, $this->configurations($this->bench->a));
    }

    /** @return list<array<array-key, mixed>> what each run of a build was made with */
    private function configurations(string $build): array
    {
        return array_map(static fn (mixed $content): array => Row::json($content), self::service(Connection::class)->fetchFirstColumn(
            'SELECT c.content FROM run r JOIN trial t ON t.id = r.trial_id JOIN configuration c ON c.hash = r.configuration
             WHERE t.revision_id = ? ORDER BY r.number', [$build],
        ));
    }

    private function said(): string
    {
        return self::text($this->json('GET', '/api/revisions/'.$this->bench->a.'/build'), 'revision', 'corrections', 0, 'sentence');
    }
}
