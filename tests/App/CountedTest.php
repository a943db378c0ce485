<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use Lustrum\Record\Counted;
use Lustrum\Record\Registry;
use Lustrum\Shared\Limit;
use Lustrum\Shared\Refusal\Invalid;
use Lustrum\Shared\Refusal\TooLarge;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\PropertyInfo\PropertyInfoExtractorInterface;
use Symfony\Component\Uid\Uuid;

/** What is too much is refused before anything is made of it, with little time and memory. */
final class CountedTest extends ApiTestCase
{
    /** @return iterable<string, array{string, array<string, mixed>, int, string}> kind, body, status, path */
    public static function lists(): iterable
    {
        $many = static fn (int $n, mixed $of = []): array => array_fill(0, $n, (object) $of);
        yield 'five thousand empty conditions' => ['methods', ['name' => 'x', 'conditions' => $many(5000)], 422, 'conditions'];
        yield 'five thousand arms' => ['revisions', ['letter' => 'Z', 'arms' => $many(5000)], 422, 'arms'];
        yield 'twenty thousand channels' => ['methods', ['name' => 'x', 'channels' => $many(20_000, ['key' => 'a'])], 413, ''];
        yield 'four thousand channels' => ['methods', ['name' => 'x', 'channels' => $many(4000, ['key' => 'a', 'unit' => 'N'])], 422, 'channels'];
        yield 'two hundred thousand numbers' => ['courses', ['name' => 'x', 'text' => 'x', 'values' => range(1, 200_000)], 413, ''];
        yield 'lists in a list' => [
            'methods', ['name' => 'x', 'factors' => [['name' => 'a', 'levels' => array_fill(0, 9000, '')]]], 422, 'factors[0].levels',
        ];
    }

    /** @param array<string, mixed> $body */
    #[DataProvider('lists')]
    public function testAListIsCountedBeforeItIsRead(string $kind, array $body, int $status, string $path): void
    {
        $bench = $this->bench();
        $refs = ['device' => $bench->device, 'revision' => $bench->a, 'run' => Uuid::v7()->toRfc4122()];
        gc_collect_cycles();
        memory_reset_peak_usage();
        $before = memory_get_usage();
        $from = hrtime(true);
        $answer = $this->json('PUT', '/api/'.$kind.'/'.Uuid::v7()->toRfc4122(), $body + $refs);
        self::assertLessThan(64_000_000, memory_get_peak_usage() - $before);
        self::assertLessThan(2e9, hrtime(true) - $from);
        self::assertSame([$status, $path], [$this->answered(), self::text($answer, 'violations', 0, 'path') === 'null' ? '' : self::text($answer, 'violations', 0, 'path')]);
        self::assertStringContainsString($status === 413 ? 'Nothing was saved' : 'At most', self::text($answer, 'detail'));
    }

    /** @return iterable<string, array{string}> */
    public static function texts(): iterable
    {
        yield 'small lists' => ['{"a":['.str_repeat('[1],', 400_000).'1]}'];
        yield 'small objects' => ['{"a":['.str_repeat('{"a":1},', 240_000).'1]}'];
        yield 'many names' => ['{'.implode(',', array_map(static fn (int $i): string => '"k'.$i.'":1', range(1, 150_000))).'}'];
        yield 'empty lists' => ['['.str_repeat('[],', 600_000).'1]'];
    }

    #[DataProvider('texts')]
    public function testABodyOfManyValuesIsNotDecoded(string $text): void
    {
        $method = '/api/methods/'.Uuid::v7()->toRfc4122();
        gc_collect_cycles();
        memory_reset_peak_usage();
        $before = memory_get_usage();
        $this->raw('PUT', $method, $text);
        self::assertSame(413, $this->answered());
        self::assertLessThan(64_000_000, memory_get_peak_usage() - $before);
    }

    public function testWhatStandsInTextsIsNotCounted(): void
    {
        Counted::text('{"a":"'.str_repeat('[1, 2, {3}], \\"', 4000).'"}', 100);
        $this->expectException(TooLarge::class);
        Counted::text('{"a":"x","b":['.str_repeat('1,', 200).'1]}', 100);
    }

    /** Stated where it stands, or the common one: a list without a limit is not forgotten. */
    public function testEveryListOfEveryInputHasALimit(): void
    {
        $counted = self::service(Counted::class);
        $types = self::service(PropertyInfoExtractorInterface::class);
        $tried = 0;
        foreach (self::service(Registry::class)->kinds() as $kind) {
            foreach ($types->getProperties($kind->input) ?? [] as $field) {
                if (!str_contains((string) $types->getType($kind->input, $field), 'list<')) {
                    continue;
                }
                try {
                    $counted->check($kind->input, [$field => array_fill(0, 2001, 'x')]);
                    self::fail($kind->input.'::'.$field.' takes any number.');
                } catch (Invalid $e) {
                    self::assertSame($field, $e->violations[0]['path']);
                    self::assertMatchesRegularExpression('/^At most \d+ /', $e->violations[0]['message']);
                    ++$tried;
                }
            }
        }
        self::assertGreaterThan(30, $tried);
    }

    public function testADeviceFileThatIsHeldAsAWholeHasALimitOfItsOwn(): void
    {
        $to = '/api/workspaces/'.$this->workspace.'/import';
        $this->raw('POST', $to, '{"format":"lustrum-device","version":3,"x":"'.str_repeat('x', Limit::WHOLE_FILE_BYTES).'"}');
        self::assertSame(413, $this->answered());
        $answer = $this->raw('POST', $to, '{"format":"lustrum-device","version":3,"x":['.str_repeat('[],', Limit::WHOLE_FILE_VALUES).'1]}');
        self::assertSame(413, $this->answered());
        self::assertStringContainsString('200,000 values', self::text($answer, 'detail'));
    }
}
