<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use Lustrum\Record\Kind;
use Lustrum\Record\Registry;
use Lustrum\Record\Shapes;
use Symfony\Component\Serializer\Normalizer\DenormalizerInterface;

/** The quick way to an input gives what the long way gives, or nothing. */
final class ShapeTest extends ApiTestCase
{
    /** Values of every type that JSON has, and some that look like another one. */
    private const VALUES = [
        null, true, false, 0, 1, -1, 1.5, 2.0, '', 'x', '5', 'held', 'atMost', '2026-03-02', [], ['x'], [1], [null], [['name' => 'soil']],
        [['name' => 'soil', 'text' => 'wet']], ['a' => 'b'], ['name' => 'x', 'text' => 'y', 'abort' => 'z'], [[]], [['x']],
    ];

    /** What the fields that must be there are given, where it is not their turn. */
    private const SOUND = [
        'workspace' => 'w', 'device' => 'd', 'revision' => 'r', 'trial' => 't', 'run' => 'r', 'failure' => 'f', 'method' => 'm',
        'name' => 'n',
        'text' => 't', 'unit' => 'N', 'limit' => 4.5, 'direction' => 'atMost', 'metric' => 'force', 'statement' => 's', 'letter' => 'A',
        'serial' => 's', 'what' => 'w', 'mode' => 'm', 'channel' => 'push', 'next' => 'n', 'article' => 'a', 'panel' => 'p',
        'rater' => 'r', 'code' => '100', 'difference' => 'part:belt', 'why' => 'w',
        'formula' => 'a*2', 'variables' => [], 'title' => 't', 'sum' => 'drop', 'inputs' => [], 'output' => 'speed',
    ];

    public function testBothWaysAreOne(): void
    {
        $tried = 0;
        foreach (self::service(Registry::class)->kinds() as $kind) {
            if ($kind->put) {
                $this->mustBeOne($kind);
                ++$tried;
            }
        }
        self::assertGreaterThan(10, $tried);
    }

    private function mustBeOne(Kind $kind): void
    {
        $fields = array_map(
            static fn (\ReflectionParameter $p): string => $p->getName(),
            (new \ReflectionClass($kind->input))->getConstructor()?->getParameters() ?? [],
        );
        self::assertNotSame([], $fields);
        $sound = array_intersect_key(self::SOUND, array_flip($fields));
        $made = self::service(Shapes::class)->make($kind->input, $sound);
        self::assertEquals($this->long($kind, $sound), $made, $kind->name);
        self::assertNotNull($made, $kind->name.': the quick way is taken.');
        $quick = 0;
        foreach ($fields as $field) {
            foreach (self::VALUES as $value) {
                $row = [$field => $value] + $sound;
                $made = self::service(Shapes::class)->make($kind->input, $row);
                if ($made !== null) {
                    ++$quick;
                    self::assertEquals($this->long($kind, $row), $made, $kind->name.'.'.$field.' = '.json_encode($value));
                }
            }
            $without = array_diff_key($sound, [$field => 1]);
            $made = self::service(Shapes::class)->make($kind->input, $without);
            self::assertTrue($made === null || $this->long($kind, $without) == $made, 'Without '.$field);
        }
        self::assertGreaterThan(count($fields), $quick);
    }

    public function testWhatIsNoneOfOursIsNotMade(): void
    {
        self::assertNull(self::service(Shapes::class)->make(\DateTimeImmutable::class, ['datetime' => '2026-03-02']));
        self::assertNull(self::service(Shapes::class)->make(\stdClass::class, []));
    }

    /** @param array<string, mixed> $row */
    private function long(Kind $kind, array $row): ?object
    {
        try {
            $made = self::service(DenormalizerInterface::class)->denormalize($row, $kind->input, 'json');
        } catch (\Throwable $e) {
            return $e;
        }

        return is_object($made) ? $made : null;
    }
}
