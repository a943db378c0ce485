<?php

declare(strict_types=1);

namespace Lustrum\Tests\Core;

use Lustrum\Core\Calc\Catalogue;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/** Operations as a program meets them: what it asks, and what it gets back, each worked out by hand. */
final class OperationTest extends TestCase
{
    /** @return iterable<string, array{string, array<string, mixed>, array<string, mixed>}> operation, input, parts of the output */
    public static function answered(): iterable
    {
        yield 'a length in inches' => ['quantity.parse', ['text' => '3 1/2 in', 'dimension' => 'length'], [
            'value' => 3.5, 'unit' => 'in', 'dimension' => 'length', 'si' => ['value' => 0.0889, 'unit' => 'm'],
        ]];
        yield 'the last digit typed' => ['quantity.parse', ['text' => '12.50 N'], ['value' => 12.5, 'resolution' => 0.01]];
        yield 'a decimal comma' => ['quantity.parse', ['text' => '4,2 kg'], ['value' => 4.2, 'dimension' => 'mass']];
        yield 'inches to millimetres' => [
            'quantity.convert', ['value' => 2, 'unit' => 'in', 'to' => 'mm'], ['value' => 50.8, 'unit' => 'mm'],
        ];
        yield 'a temperature' => ['quantity.convert', ['value' => 212, 'unit' => '°F', 'to' => '°C'], ['value' => 100.0]];
        yield 'a difference of temperatures' => [
            'quantity.convert', ['value' => 9, 'unit' => '°F', 'to' => '°C', 'difference' => true], ['value' => 5.0],
        ];
        yield 'a slipped point' => ['quantity.slip', [
            'candidate' => ['value' => 412, 'unit' => 'N'], 'previous' => [41.0, 41.5, 40.8, 41.2],
        ], ['suspect' => true, 'corrected' => 41.2]];
        yield 'nothing slipped' => ['quantity.slip', [
            'candidate' => ['value' => 41.4, 'unit' => 'N'], 'previous' => [41.0, 41.5, 40.8, 41.2],
        ], ['suspect' => false]];
        yield 'the unit of a formula' => [
            'formula.check', ['expression' => 'F / A', 'variables' => ['F' => 'N', 'A' => 'mm^2']],
            ['unit' => 'Pa', 'dimension' => 'pressure'],
        ];
        yield 'a formula with its uncertainty' => ['formula.evaluate', [
            'expression' => 'F / A', 'unit' => 'MPa',
            'variables' => ['F' => ['value' => 60, 'unit' => 'N', 'u' => 3], 'A' => ['value' => 20, 'unit' => 'mm^2', 'u' => 0]],
        ], ['value' => 3.0, 'u' => 0.15]];
        yield 'a formula over a series' => ['formula.evaluate', [
            'expression' => 'mean(y)', 'variables' => ['y' => ['value' => [1, 3, 5, 7], 'unit' => 'N', 'u' => 0.2]],
        ], ['value' => 4.0, 'u' => 0.1]];
        yield 'minutes do not fall below nought' => [
            'stats.describe', ['values' => [1, 9, 2], 'natural' => ['low' => 0]], ['low' => 0.0, 'mean' => 4.0, 'cut' => ['low']],
        ];
        yield 'two shares in per cent are at most a hundred points apart' => [
            'stats.compare', ['a' => [0, 90, 20], 'b' => [60, 99, 100], 'natural' => ['low' => 0, 'high' => 100]],
            ['verdict' => 'indistinct', 'cut' => ['difference.high']],
        ];
        yield 'without natural limits nothing is cut' => ['stats.describe', ['values' => [1, 9, 2]], ['cut' => []]];
        yield 'forty of forty' => ['evidence.assess', [
            'requirement' => ['kind' => 'rate', 'limit' => 0.9], 'results' => array_fill(0, 40, ['kind' => 'held']),
        ], ['state' => 'shown', 'estimate' => 1.0, 'n' => 40, 'runsNeeded' => 0]];
        yield 'a condition that nobody covered' => ['evidence.assess', [
            'requirement' => ['kind' => 'check', 'conditions' => ['ground=wet']],
            'results' => [['kind' => 'held', 'conditions' => ['ground=dry']]],
        ], ['missingConditions' => ['ground=wet']]];
        yield 'paint' => [
            'evidence.carry', ['dependsOn' => [], 'changes' => [['what' => 'Paint', 'class' => 'cosmetic']]],
            ['carried' => true, 'because' => []],
        ];
        yield 'another shape' => [
            'evidence.carry', ['dependsOn' => ['shape'], 'changes' => [['what' => 'Wider arm', 'class' => 'shape']]],
            ['carried' => false, 'because' => ['Wider arm']],
        ];
        yield 'another rig' => ['compare.footing', [
            'a' => ['method' => 'Drop', 'rig' => 'tower', 'runs' => 5], 'b' => ['method' => 'Drop', 'rig' => 'crane', 'runs' => 5],
        ], ['footing' => 'tilted']];
        yield 'another method' => [
            'compare.footing', ['a' => ['method' => 'Drop', 'runs' => 5], 'b' => ['method' => 'Pull', 'runs' => 5]],
            ['footing' => 'broken'],
        ];
        yield 'the same in everything' => ['compare.footing', [
            'a' => ['method' => 'Drop', 'runs' => 5, 'lots' => ['foam' => ['7']], 'settings' => ['gap' => [
                'numbers' => [1.5, 1.6], 'tolerance' => 0.2, 'unit' => 'mm',
            ]]],
            'b' => ['method' => 'Drop', 'runs' => 5, 'lots' => ['foam' => ['7']], 'settings' => ['gap' => [
                'numbers' => [1.5, 1.5], 'tolerance' => 0.2, 'unit' => 'mm',
            ]]],
        ], ['footing' => 'level', 'differences' => []]];
    }

    /**
     * @param array<string, mixed> $input
     * @param array<string, mixed> $expected
     */
    #[DataProvider('answered')]
    public function testAnswers(string $op, array $input, array $expected): void
    {
        $answer = Catalogue::answer(['op' => $op, 'input' => $input]);
        self::assertTrue($answer['ok'], (string) json_encode($answer));
        $output = $answer['output'] ?? [];
        foreach ($expected as $name => $value) {
            self::assertArrayHasKey($name, $output);
            self::assertEqualsWithDelta($value, $output[$name], 1e-9, $name);
        }
        self::assertSame(
            [], array_diff(array_keys($output), array_keys(Catalogue::operations()[$op]->outputs)),
            'What is answered is what the list of operations promises.',
        );
    }

    /** @return iterable<string, array{string, array<string, mixed>, string, string}> operation, input, code, path */
    public static function refused(): iterable
    {
        yield 'no number' => ['quantity.parse', ['text' => 'heavy'], 'number.invalid', 'text'];
        yield 'no unit of ours' => ['quantity.parse', ['text' => '3 flurbs'], 'unit.unknown', 'unit'];
        yield 'another dimension' => ['quantity.parse', ['text' => '3 kg', 'dimension' => 'length'], 'unit.mismatch', 'unit'];
        yield 'a candidate of another shape' => [
            'quantity.slip', ['candidate' => ['value' => 1, 'unit' => 'N', 'why' => 'x'], 'previous' => []], 'input.unknown',
            'candidate/why',
        ];
        yield 'an empty series' => ['formula.evaluate', [
            'expression' => 'mean(y)', 'variables' => ['y' => ['value' => [], 'unit' => 'N']],
        ], 'input.invalid', 'variables/y/value'];
        yield 'an uncertainty below nought' => ['formula.evaluate', [
            'expression' => 'y', 'variables' => ['y' => ['value' => 1, 'unit' => 'N', 'u' => -1]],
        ], 'input.invalid', 'variables/y/u'];
        yield 'a result of another dimension' => ['evidence.assess', [
            'requirement' => ['kind' => 'mean', 'limit' => ['value' => 3, 'unit' => 'N']],
            'results' => [['value' => ['value' => 3, 'unit' => 'kg']]],
        ], 'unit.mismatch', 'unit'];
        yield 'a change without its class' => [
            'evidence.carry', ['dependsOn' => [], 'changes' => [['what' => 'Paint']]], 'input.invalid', 'changes/0/class',
        ];
        yield 'half a run' => [
            'compare.footing', ['a' => ['method' => 'x', 'runs' => 1.5], 'b' => ['method' => 'x']], 'input.invalid', 'a/runs',
        ];
    }

    /** @param array<string, mixed> $input */
    #[DataProvider('refused')]
    public function testRefusals(string $op, array $input, string $code, string $path): void
    {
        $answer = Catalogue::answer(['op' => $op, 'input' => $input]);
        self::assertFalse($answer['ok']);
        self::assertSame([$code, $path], [$answer['error']['code'] ?? '', $answer['error']['path'] ?? '']);
    }

    public function testNoOperationTakesWhatItDoesNotKnow(): void
    {
        foreach (array_keys(Catalogue::operations()) as $name) {
            $answer = Catalogue::answer(['op' => $name, 'input' => ['zebra' => 1]]);
            self::assertFalse($answer['ok'], $name);
            self::assertSame(['input.unknown', 'zebra'], [$answer['error']['code'] ?? '', $answer['error']['path'] ?? ''], $name);
        }
    }

    public function testNoOperationBreaksOnTheWrongKindOfThing(): void
    {
        foreach (Catalogue::operations() as $name => $operation) {
            foreach ([null, true, -1, 1.0e308, '', 'x', [], [[]], [null], ['a' => 1]] as $value) {
                $fields = array_map(static fn (string $f): string => rtrim($f, '?'), array_keys($operation->inputs));
                $answer = Catalogue::answer(['op' => $name, 'input' => array_fill_keys($fields, $value)]);
                self::assertSame($name, $answer['op']);
                self::assertTrue($answer['ok'] || ($answer['error']['message'] ?? '') !== '', $name.' '.json_encode($value));
            }
        }
        foreach ([null, 7, 'x', [], ['op' => 'stats.describe', 'input' => 3], ['op' => ['a']]] as $request) {
            self::assertFalse(Catalogue::answer($request)['ok']);
        }
    }

    public function testLinesInLinesOut(): void
    {
        $process = new Process(['php', 'bin/console', 'lustrum:calc'], dirname(__DIR__, 2), ['APP_ENV' => 'test']);
        $process->setInput(implode("\n", [
            '{"op":"quantity.convert","input":{"value":2,"unit":"in","to":"mm"}}', '', 'not json', '{"op":"stats.magic","input":{}}',
            '{"op":"quantity.parse","input":{"text":"5 µm"}}',
        ]));
        self::assertSame(2, $process->run(), 'One of the lines could not be read.');
        $lines = array_map(
            static fn (string $l): mixed => json_decode($l, true, 16, \JSON_THROW_ON_ERROR), explode("\n", trim($process->getOutput())),
        );
        self::assertSame([true, false, false, true], array_column($lines, 'ok'), 'Each line is answered, whatever the others are.');
        self::assertSame(['line.invalid', 'op.unknown'], array_column(array_column($lines, 'error'), 'code'));
        self::assertStringContainsString('µm', $process->getOutput(), 'As it was typed, not escaped.');
    }

    public function testTheListNamesEveryOperationWithItsFields(): void
    {
        $process = new Process(['php', 'bin/console', 'lustrum:calc', '--list'], dirname(__DIR__, 2), ['APP_ENV' => 'test']);
        self::assertSame(0, $process->run());
        foreach (Catalogue::operations() as $name => $operation) {
            self::assertStringContainsString($name.'  '.$operation->summary, $process->getOutput());
            foreach (array_keys($operation->inputs + $operation->outputs) as $field) {
                self::assertStringContainsString((string) $field, $process->getOutput());
            }
        }
    }
}
