<?php

declare(strict_types=1);

namespace Lustrum\Action\Exchange;

use Lustrum\Core\Run\Factor;
use Lustrum\Core\Run\FactorKind;
use Lustrum\Core\Run\FactorRole;
use Lustrum\Core\Run\Row;

/**
 * Entries of files of format version 1 and 2 in the shape of version 3: a run names levels of factors rather than a rung,
 * and a method asks questions rather than for one metric that a run shows by holding.
 */
final class OldShape
{
    public const VERSIONS = [1, 2];

    /** @var array<string, string> method of each trial */
    private array $methods = [];

    /** @var array<string, non-empty-array<array-key, true>> rungs that runs name, by trial */
    private array $rungs = [];

    /** @var array<string, Factor>|null by method */
    private ?array $factors = null;

    /**
     * Looks at an entry before any is converted.
     *
     * @param array<array-key, mixed> $row
     */
    public function see(string $list, array $row): void
    {
        if ($list === 'trials') {
            $this->methods[Row::text($row['id'] ?? '')] = Row::text($row['method'] ?? '');
        }
        $rung = $list === 'runs' ? trim(Row::text($row['position'] ?? '')) : '';
        if ($rung !== '') {
            $this->rungs[Row::text($row['trial'] ?? '')][$rung] = true;
        }
    }

    /**
     * @param array<string, mixed> $row
     *
     * @return array<string, mixed>
     */
    public function convert(string $list, array $row): array
    {
        return match ($list) {
            'methods' => $this->method($row),
            'runs' => $this->run($row),
            'failures' => $row + ['consequence' => match (Row::text($row['severity'] ?? '')) {
                'dangerous' => 'dangerous',
                'cosmetic', 'minor' => 'minor',
                default => 'major',
            }],
            'changes' => self::change($row),
            'candidates' => $row + ['failures' => self::several($row['failure'] ?? null)],
            default => $row,
        };
    }

    /** What runs of a method froze, with the factor that they were varied by. */
    public function configuration(mixed $content): mixed
    {
        $factor = is_array($content) ? $this->factors()[Row::text($content['method'] ?? '')] ?? null : null;

        return $factor === null || !is_array($content) || isset($content['factors'])
            ? $content : $content + ['factors' => [get_object_vars($factor)]];
    }

    /**
     * @param array<string, mixed> $row
     *
     * @return array<string, mixed>
     */
    private function method(array $row): array
    {
        $metric = Row::text($row['outcomeMetric'] ?? '');
        $factor = $this->factors()[Row::text($row['id'] ?? '')] ?? null;

        return $row + [
            'questions' => $metric === '' ? [] : [['key' => 'held', 'metric' => $metric, 'text' => Row::text($row['heldWhen'] ?? '')]],
            'factors' => $factor === null ? [] : [get_object_vars($factor)],
        ];
    }

    /**
     * @param array<string, mixed> $row
     *
     * @return array<string, mixed>
     */
    private function run(array $row): array
    {
        $rung = trim(Row::text($row['position'] ?? ''));
        $factor = $this->factors()[$this->methods[Row::text($row['trial'] ?? '')] ?? ''] ?? null;
        if (is_array($row['configuration'] ?? null)) {
            $row['configuration'] = $this->configuration($row['configuration']);
        }

        return $row + ['levels' => $rung === '' || $factor === null ? [] : [['name' => $factor->name, 'text' => $rung]]];
    }

    /**
     * One metric with one amount, and one failure.
     *
     * @param array<string, mixed> $row
     *
     * @return array<string, mixed>
     */
    private static function change(array $row): array
    {
        $metric = Row::text($row['metric'] ?? '');
        $expected = $row['expected'] ?? null;
        $effect = [
            'metric' => $metric, 'unit' => Row::text($row['unit'] ?? ''), 'low' => $expected, 'likely' => $expected,
            'high' => $expected,
        ];

        return ['against' => self::several($row['against'] ?? null)] + $row + ['effects' => $metric === '' ? [] : [$effect]];
    }

    /** @return list<mixed> */
    private static function several(mixed $one): array
    {
        return is_array($one) ? array_values($one) : ($one === null || $one === '' ? [] : [$one]);
    }

    /** @return array<string, Factor> by method: numbers make cells, words only pair */
    private function factors(): array
    {
        if ($this->factors !== null) {
            return $this->factors;
        }
        $typed = [];
        foreach ($this->rungs as $trial => $rungs) {
            $method = $this->methods[$trial] ?? '';
            $typed[$method] = $rungs + ($typed[$method] ?? []);
        }
        $this->factors = [];
        foreach ($typed as $method => $rungs) {
            $factor = Factor::inferred('level', array_map(strval(...), array_keys($rungs)));
            $this->factors[$method] = $factor->kind === FactorKind::Number ? $factor : new Factor('place', FactorRole::Block);
        }

        return $this->factors;
    }
}
