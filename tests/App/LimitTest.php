<?php

declare(strict_types=1);

namespace Lustrum\Tests\App;

use Lustrum\Record\Kind;
use Lustrum\Record\Registry;
use Symfony\Component\Uid\Uuid;

/** Each field has a limit, says which, and keeps it to the letter: so many are taken, one more is not. */
final class LimitTest extends ApiTestCase
{
    private const MUCH = 25_000;

    /** Fields that are one of a few words, or read as a quantity or an identifier, and so are refused for another reason. */
    private const OTHERWISE = ['arm', 'chosenArm', 'worstArm', 'day', 'started', 'stopped', 'startedAt', 'modified', 'zone', 'truly', 'at', 'code', 'timeUnit', 'clockAt', 'foundAt', 'text', 'unit', 'formula', 'cost', 'correction', 'channel', 'untilWidth', 'difference'];

    /** @var array<string, array<string, mixed>> a sound body of each kind */
    private array $bodies = [];

    protected function setUp(): void
    {
        parent::setUp();
        $bench = $this->bench();
        $trial = $this->put('trials', ['revision' => $bench->b, 'method' => $bench->method, 'name' => 'Pushing']);
        $run = $this->put('runs', ['trial' => $trial, 'article' => $bench->unitB]);
        $failure = $this->put('failures', ['revision' => $bench->b, 'mode' => 'Broke']);
        foreach (['Q-1', 'Q-2'] as $serial) {
            $this->put('articles', ['revision' => $bench->b, 'serial' => $serial]);
        }
        $panel = $this->put('panels', ['trial' => $trial, 'serials' => ['Q-1', 'Q-2'], 'raters' => ['Odile'], 'prefers' => true]);
        $on = ['revision' => $bench->b];
        $of = ['device' => $bench->device];
        $this->bodies = [
            'device' => ['workspace' => $this->workspace, 'name' => 'Wren'],
            'metric' => $of + ['name' => 'mass'],
            'requirement' => $of + ['statement' => 'Light', 'metric' => 'mass', 'unit' => 'kg', 'limit' => 4.0, 'direction' => 'atMost'],
            'revision' => $of + ['letter' => 'Q'],
            'method' => $of + ['name' => 'Weigh', 'safety' => ['abort' => 'When it tips.']],
            'article' => $on + ['serial' => 'U-9'], 'parameter' => $on + ['name' => 'arm', 'text' => '3 mm'],
            'use' => $of + ['name' => 'Beds'], 'step' => $of + ['name' => 'Carry'], 'person' => $of + ['name' => 'Odile'],
            'assumption' => $of + ['text' => 'It floats'], 'spending' => $on + ['cost' => 4.0],
            'panel' => ['trial' => $trial, 'serials' => ['Q-1', 'Q-2'], 'raters' => ['Odile'], 'prefers' => true],
            'sheet' => ['panel' => $panel, 'rater' => 'Odile', 'code' => '100'],
            'course' => ['run' => $run, 'name' => 'Warmth', 'text' => "0; 20\n60; 40"],
            'outing' => ['workspace' => $this->workspace, 'place' => 'Lane'],
            'heapfile' => ['workspace' => $this->workspace, 'name' => 'G1.mp4', 'lies' => 'card 3', 'sha256' => str_repeat('ab', 32)],
            'camera' => ['workspace' => $this->workspace, 'name' => 'Phone'],
            'happening' => ['article' => $bench->unitB, 'kind' => 'moved'],
            'making' => ['article' => $bench->unitB, 'name' => 'Glue'],
            'part' => $on + ['name' => 'Arm'], 'change' => $on + ['what' => 'Thicker'], 'candidate' => $on + ['what' => 'Wider'],
            'unrelated' => $on + ['metric' => 'push force', 'difference' => 'part:belt'],
            'failure' => $on + ['mode' => 'Bent'], 'observation' => $on + ['text' => 'Squeaks'],
            'trial' => $on + ['method' => $bench->method, 'name' => 'Again'], 'run' => ['trial' => $trial, 'article' => $bench->unitB],
            'reading' => ['run' => $run, 'channel' => 'push', 'text' => '41.0 N'], 'cause' => ['failure' => $failure, 'text' => 'Stone'],
            'closing' => ['failure' => $failure, 'why' => 'It was the stone'],
        ];
    }

    public function testEveryTextHasALimitThatIsSaidAndKept(): void
    {
        $tried = 0;
        foreach ($this->kinds() as $kind) {
            foreach ($this->texts($kind) as $field) {
                $most = $this->limit($kind, $field);
                if ($most === null) {
                    continue;
                }
                self::assertNull($this->complaint($kind, $field, str_repeat('ö', $most)), "$kind->name.$field takes $most, as it says.");
                self::assertNotNull(
                    $this->complaint($kind, $field, str_repeat('ö', $most + 1)), "$kind->name.$field: one more than $most.",
                );
                ++$tried;
            }
        }
        self::assertGreaterThan(30, $tried);
    }

    public function testNoFieldTakesWithoutEnd(): void
    {
        foreach ($this->kinds() as $kind) {
            foreach ($this->texts($kind) as $field) {
                self::assertNotNull($this->complaint($kind, $field, str_repeat('x', self::MUCH)), $kind->name.'.'.$field);
            }
        }
    }

    public function testEveryListHasALimit(): void
    {
        foreach ($this->kinds() as $kind) {
            foreach ($this->fields($kind, 'array') as $field) {
                $answer = $this->send($kind, [$field => array_fill(0, 700, 'x')]);
                self::assertSame(422, $this->answered(), $kind->name.'.'.$field.json_encode($answer));
            }
        }
    }

    public function testEveryNumberHasALimit(): void
    {
        foreach ($this->kinds() as $kind) {
            foreach ([...$this->fields($kind, 'float'), ...$this->fields($kind, 'int')] as $field) {
                foreach ([1e200, -1e200, '1', true, [], 1e18] as $wrong) {
                    $answer = $this->send($kind, [$field => $wrong]);
                    self::assertGreaterThanOrEqual(
                        409, $this->answered(), $kind->name.'.'.$field.' = '.json_encode($wrong).json_encode($answer),
                    );
                    self::assertLessThan(500, $this->answered());
                }
            }
        }
    }

    public function testATextIsNeverTakenForSomethingElse(): void
    {
        foreach ($this->kinds() as $kind) {
            foreach ($this->fields($kind, 'string') as $field) {
                foreach ([5, 1.5, true, [], ['x'], ['a' => 'b']] as $wrong) {
                    $answer = $this->send($kind, [$field => $wrong]);
                    self::assertSame(422, $this->answered(), $kind->name.'.'.$field.' = '.json_encode($wrong).json_encode($answer));
                    self::assertTrue(
                        str_starts_with(self::text($answer, 'violations', 0, 'path'), $field), $kind->name.'.'.$field.json_encode($answer),
                    );
                }
            }
        }
    }

    /** @return list<Kind> that are written by themselves */
    private function kinds(): array
    {
        return array_values(array_filter(
            self::service(Registry::class)->kinds(), fn (Kind $k): bool => $k->put && isset($this->bodies[$k->name]),
        ));
    }

    /** @return list<string> fields of a type */
    private function fields(Kind $kind, string $type): array
    {
        $out = [];
        foreach ((new \ReflectionClass($kind->input))->getConstructor()?->getParameters() ?? [] as $parameter) {
            $of = $parameter->getType();
            if ($of instanceof \ReflectionNamedType && $of->getName() === $type && $parameter->getName() !== 'version') {
                $out[] = $parameter->getName();
            }
        }

        return $out;
    }

    /** @return list<string> fields that people write freely */
    private function texts(Kind $kind): array
    {
        return array_values(array_filter(
            $this->fields($kind, 'string'),
            static fn (string $f): bool => !isset($kind->references[$f]) && $f !== 'workspace' && !in_array($f, self::OTHERWISE, true),
        ));
    }

    /** The limit that a field says it has; null where it refuses for another reason. */
    private function limit(Kind $kind, string $field): ?int
    {
        $said = $this->complaint($kind, $field, str_repeat('x', self::MUCH));
        self::assertNotNull($said, $kind->name.'.'.$field.' takes anything.');

        return preg_match('/At most ([\d,]+) characters/', $said, $m) === 1 ? (int) str_replace(',', '', $m[1]) : null;
    }

    /** What is said at this field; null where it is taken, or something else is wrong. */
    private function complaint(Kind $kind, string $field, string $text): ?string
    {
        $answer = $this->send($kind, [$field => $text]);
        foreach ((array) ($answer['violations'] ?? []) as $violation) {
            if (self::text((array) $violation, 'path') === $field) {
                return self::text((array) $violation, 'message');
            }
        }
        self::assertLessThan(500, $this->answered(), $kind->name.'.'.$field.json_encode($answer));

        return null;
    }

    /**
     * @param array<string, mixed> $with
     *
     * @return array<array-key, mixed>
     */
    private function send(Kind $kind, array $with): array
    {
        return $this->json('PUT', '/api/'.$kind->plural.'/'.Uuid::v7()->toRfc4122(), $with + $this->bodies[$kind->name]);
    }
}
